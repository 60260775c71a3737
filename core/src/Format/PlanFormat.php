<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\Conflict;
use Ordotype\Core\Choice\RequirementState;
use Ordotype\Core\Demand\NotApplicable;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\PlannedArea;
use Ordotype\Core\Planning\SurplusStep;
use Ordotype\Core\Planning\Warning;
use Ordotype\Core\Sequencing\OrderedWork;
use Ordotype\Core\Sequencing\Pass;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Sequencing\Step;
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
        $keys = self::keys($steps);

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
                fn (Step $step, int $i) => self::step($step, $i + 1, $keys[$i], $work->held[$i]),
                $steps,
                array_keys($steps),
            ),
            'requirements' => array_map(self::requirement(...), $plan->requirements),
            'surplus' => array_map(
                fn (SurplusStep $s) => (object) [
                    'step' => $s->no,
                    'beyond' => $s->beyond,
                    'practice' => $s->practice,
                    'minutes' => $s->step->minutes,
                ],
                $plan->surplus,
            ),
            'warnings' => array_map(
                fn (Warning $w) => (object) [
                    'kind' => $w->kind,
                    'area' => $w->area,
                    'technique' => $w->technique,
                    'rules' => $w->rules,
                    'text' => $w->text,
                ],
                $plan->warnings,
            ),
            'conflicts' => array_map(
                fn (Conflict $c) => (object) ['area' => $c->area, 'clauses' => $c->clauses, 'reason' => $c->reason],
                $plan->conflicts(),
            ),
            'not_applicable' => array_map(
                fn (NotApplicable $n) => (object) [
                    'area' => $n->area,
                    'subject' => $n->subject,
                    'clauses' => $n->clauses,
                    'reason' => $n->reason,
                ],
                $plan->notApplicable(),
            ),
            'totals' => (object) [
                'by_area' => $plan->minutesByArea(),
                'by_passes' => $plan->minutesByPasses(),
                'setup' => $plan->setupMinutes(),
                'drying_chain' => $plan->work->longestChain,
                'waiting' => $plan->work->waiting,
            ],
        ];
    }

    /**
     * The key of each step. Where pieces of a unit get one step in different paints, the paint is part of it.
     *
     * @param  list<Step>  $steps
     * @return list<string>
     */
    public static function keys(array $steps): array
    {
        $times = array_count_values(array_map(fn (Step $s) => $s->key(), $steps));

        return array_map(fn (Step $s) => $times[$s->key()] === 1 ? $s->key() : $s->paintedKey(), $steps);
    }

    /**
     * The keys, in the work of the whole unit, of the steps that one kind of piece gets.
     *
     * @return list<string>
     */
    public static function keysWithin(Plan $plan, OrderedWork $work): array
    {
        $keys = [];
        foreach (self::keys($work->steps) as $i => $key) {
            $keys[$work->steps[$i]->paintedKey()] = $key;
        }

        return array_map(fn (Step $s) => $keys[$s->paintedKey()], $plan->work->steps);
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
        ];
    }

    /** @param  list<Rule>  $held */
    private static function step(Step $step, int $no, string $key, array $held): stdClass
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
                    : (object) [
                        'paint' => $step->colour->paint,
                        'mixed_with' => $step->colour->mixedWith,
                        'hex' => $step->colour->colour?->hex(),
                    ],
            'because' => $step->because,
            'order_because' => array_map(fn (Rule $r) => $r->value, $held),
        ];
    }

    private static function requirement(RequirementState $state): stdClass
    {
        $r = $state->requirement;

        return (object) [
            'area' => $r->area,
            'kind' => $r->kind->value,
            'subject' => $r->subject(),
            'extent' => in_array($r->kind, [RequirementKind::Effect, RequirementKind::Technique], true)
                ? $r->extent->word()
                : null,
            'passes' => in_array($r->kind, [RequirementKind::Effect, RequirementKind::Technique], true)
                ? $r->passes
                : null,
            'by' => $r->by,
            'limit' => self::limit($r),
            'clauses' => $r->clauses,
            'severity' => $r->severity?->value,
            'state' => $state->state,
            'off_by' => $state->by,
            'reason' => $state->reason,
        ];
    }

    private static function limit(Requirement $r): ?stdClass
    {
        return $r->min === null && $r->max === null ? null : (object) ['min' => $r->min, 'max' => $r->max];
    }
}
