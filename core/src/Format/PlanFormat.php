<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\NotApplicable;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\SurplusStep;
use Ordotype\Core\Planning\Plan\Warning;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Slip;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\WarningWords;
use stdClass;

/** Writes `ordotype/plan@1`. Minutes are hand minutes of one piece, unrounded and without set-up. */
final class PlanFormat
{
    public const WORD = 'ordotype/plan@1';

    /** @param  OrderedWork|null  $work  the work of a whole unit of unlike pieces, in place of the plan's own */
    public static function write(Plan $plan, ?OrderedWork $work = null): stdClass
    {
        $work ??= $plan->work;
        $steps = $work->steps;
        $keys = $work->keys();
        $words = new PlanWords($plan->request);
        $warnings = new WarningWords($plan->request);

        return (object) [
            'format' => self::WORD,
            'standard' => $plan->request->standard->name,
            'tier' => $plan->request->tier->key,
            'sculpt' => $plan->request->sculpt->name,
            'pieces' => $plan->request->pieces,
            'areas' => array_map(self::area(...), $plan->areas),
            'whole' => array_map(self::chosen(...), $plan->whole->choice->techniques ?? []),
            'passes' => array_map(
                fn (Pass $pass, int $i) => self::pass($pass, $i + 1, $steps),
                $work->passes,
                array_keys($work->passes),
            ),
            'steps' => array_map(
                fn (Step $step, int $i) => self::step($step, $i + 1, $keys[$i]->id, $work->held[$i]),
                $steps,
                array_keys($steps),
            ),
            'requirements' => array_map(
                fn (RequirementState $s) => self::requirement($s, $words),
                $plan->requirements,
            ),
            'surplus' => array_map(self::surplus(...), $plan->surplus),
            'warnings' => array_map(fn (Warning $w) => self::warning($w, $warnings), $plan->warnings),
            'conflicts' => array_map(
                fn (Conflict $c) => (object) [
                    'area' => $c->area?->key,
                    'clauses' => Reason::ids($c->reasons),
                    'reason' => $words->conflict($c),
                ],
                $plan->conflicts(),
            ),
            'not_applicable' => array_map(
                fn (NotApplicable $n) => (object) [
                    'area' => $n->area->key,
                    'subject' => $n->asked->subject(),
                    'clauses' => Reason::ids($n->asked->reasons),
                    'reason' => $words->notApplicable($n),
                ],
                $plan->notApplicable(),
            ),
            'totals' => (object) [
                'by_area' => $plan->minutesByArea(),
                'by_passes' => $plan->minutesByPasses(),
                'setup' => $plan->setupMinutes(),
                'drying_chain' => $plan->work->criticalPath,
                'waiting' => $plan->work->idleMinutes,
                'slips' => $plan->work->slipMinutes(),
            ],
        ];
    }

    private static function surplus(SurplusStep $s): stdClass
    {
        return (object) [
            'step' => $s->no,
            'beyond' => $s->beyond,
            'practice' => $s->practice,
            'minutes' => $s->step->minutes,
        ];
    }

    private static function warning(Warning $w, WarningWords $words): stdClass
    {
        return (object) [
            'kind' => $w->kind->value,
            'area' => $w->area?->key,
            'technique' => $w->technique?->key,
            'rules' => array_map(fn (Rule $r) => $r->value, $w->rules()),
            'text' => $words->of($w),
        ];
    }

    private static function area(PlannedArea $planned): stdClass
    {
        return (object) [
            'area' => $planned->demand->area?->key,
            'minutes' => $planned->minutes(),
            'grade_bar' => $planned->gradeBar,
            'relaxed' => $planned->relaxed > 0,
            'techniques' => array_map(self::chosen(...), $planned->choice->techniques ?? []),
        ];
    }

    private static function chosen(ChosenTechnique $used): stdClass
    {
        return (object) [
            'technique' => $used->technique->key,
            'passes' => $used->passes,
            'extent' => $used->extent->word(),
            'minutes' => $used->minutes(),
        ];
    }

    /** @param  list<Step>  $steps */
    private static function pass(Pass $pass, int $no, array $steps): stdClass
    {
        $first = $steps[$pass->steps[0]];

        return (object) [
            'no' => $no,
            'technique' => $first->technique->key,
            'paint' => $first->colour?->words(),
            'areas' => array_values(
                array_filter(
                    array_map(fn (int $i) => $steps[$i]->area?->key, $pass->steps),
                    fn (?string $k) => $k !== null,
                ),
            ),
            'minutes' => $pass->minutes,
            'dry' => $pass->drying,
            'steps' => array_map(fn (int $i) => $i + 1, $pass->steps),
            'slips' => array_map(self::slip(...), $pass->slips),
        ];
    }

    public static function slip(Slip $slip): stdClass
    {
        return (object) [
            'area' => $slip->area->key,
            'paint' => $slip->colour?->words(),
            'minutes' => $slip->minutes,
        ];
    }

    /** @param  list<Rule>  $held */
    public static function step(Step $step, int $no, string $key, array $held): stdClass
    {
        return (object) [
            'no' => $no,
            'key' => $key,
            'area' => $step->area?->key,
            'technique' => $step->technique->key,
            'pass' => $step->pass,
            'extent' => $step->extent->word(),
            'minutes' => $step->minutes,
            'dry' => $step->technique->dry,
            'colour' => $step->colour === null
                    ? null
                    : (object) ([
                        'paint' => $step->colour->paint,
                        'mixed_with' => $step->colour->mixedWith,
                        'hex' => $step->colour->colour?->hex(),
                    ] + ($step->colour->mix === null ? [] : ['mix' => PotFormat::write($step->colour->mix)])),
            'because' => Reason::ids($step->because),
            'order_because' => array_map(fn (Rule $r) => $r->value, $held),
        ];
    }

    private static function requirement(RequirementState $state, PlanWords $words): stdClass
    {
        $written = RequirementFormat::write($state->requirement);
        $written->state = $state->state?->value;
        $written->off_by = $state->by;
        $written->reason = match (true) {
            $state->conflict !== null => $words->conflict($state->conflict),
            $state->school !== null => $words->reason(Reason::method($state->school)),
            default => null,
        };

        return $written;
    }
}
