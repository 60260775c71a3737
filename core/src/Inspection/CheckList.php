<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Severity;

/**
 * What to look at on a piece: a question for each clause and view, one for each kind of fault and view, and the final
 * look. Clauses that are answered by one and the same look share a question, and so do the kinds of fault in a view
 * that
 * holds one or two areas; a list nobody gets through is no check.
 */
final readonly class CheckList
{
    public const FINAL_LOOK = 'final_look';

    /** Notice of an area by its focus, 0 to 3 (house default). */
    private const WEIGHT = [1, 2, 4, 8];

    public function __construct(private Plan $plan, private FaultCatalogue $faults)
    {
    }

    /** @return list<Question> view by view, in each the most noticed first, the final look at the end */
    public function questions(): array
    {
        $faults = $this->ofFaults();
        $questions = [...$this->ofClauses($faults), ...array_values($faults)];
        $place = fn (Question $q): int => $q->view === null
            ? 9
            : (int) array_search($q->view, [View::Front, View::Back, View::Under, View::Top], true);
        usort(
            $questions,
            fn (Question $a, Question $b) => [$place($a), -$a->notice, $a->key] <=> [$place($b), -$b->notice, $b->key],
        );
        $questions[] = new Question(
            self::FINAL_LOOK,
            null,
            'Turned slowly in the hand, left and right included: is there paint where it '.
                'should not be, or something forgotten?',
            array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas),
            [],
            array_keys($this->faults->kinds),
            true,
            null,
            0,
        );

        return $questions;
    }

    /** Where an area is looked at: both and front in the front view, ground and rim from above. */
    public static function viewOf(Area $area): View
    {
        return match (true) {
            $area->rank === Rank::Ground => View::Top,
            $area->facing === Facing::Back => View::Back,
            $area->facing === Facing::Under => View::Under,
            default => View::Front,
        };
    }

    /**
     * @param  array<string, Question>  $faults  by key; a finish that such a question asks for anyway joins it
     * @return list<Question>
     */
    private function ofClauses(array &$faults): array
    {
        /**
         * @var array<string, array{view: View, clauses: non-empty-array<string, non-empty-list<array{Area,
         * Requirement}>>}> $looks
         */
        $looks = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            if ($area === null) {
                continue;
            }
            foreach ($planned->demand->requirements as $requirement) {
                foreach (
                    array_filter(
                        $requirement->clauses,
                        fn (string $id) => ! str_starts_with($id, 'amend.') || count($requirement->clauses) === 1,
                    ) as $clause
                ) {
                    $view = self::viewOf($area);
                    $look = self::look($requirement, $clause, $view, $faults);
                    $looks[$look]['view'] = $view;
                    $looks[$look]['clauses'][$clause][] = [$area, $requirement];
                }
            }
        }
        $questions = [];
        foreach ($looks as $key => $look) {
            $asked = isset($faults[$key]) ? [$faults[$key]] : [];
            foreach ($look['clauses'] as $clause => $places) {
                $asked[] = $this->ofClause((string) $clause, $look['view'], $places);
            }
            $question = self::together($asked);
            if (isset($faults[$key])) {
                $faults[$key] = $question;
            } else {
                $questions[] = $question;
            }
        }

        return $questions;
    }

    /**
     * The look that answers a requirement: the key of a fault's question, a name shared by several clauses, or the
     * clause itself.
     *
     * @param  array<string, Question>  $faults
     */
    private static function look(Requirement $r, string $clause, View $view, array $faults): string
    {
        if ($r->kind === RequirementKind::Finish) {
            $group = match ($r->criterion) {
                Criterion::BarePrimer => FaultGroup::Cover,
                Criterion::ColourDrift, Criterion::BaseColour => FaultGroup::Colour,
                Criterion::LineWidth, Criterion::LineShare => FaultGroup::Lines,
                default => FaultGroup::Light,
            };
            foreach (["fault:$group->value:{$view->value}", "fault:any:{$view->value}"] as $key) {
                if (isset($faults[$key])) {
                    return $key;
                }
            }
        }
        $shared = match (true) {
            $r->kind === RequirementKind::Steps => 'steps',
            $r->effects === [] => null,
            default => match ($r->effects[0]) {
                Effect::HighlightRaised => 'raised',
                Effect::PickOut, Effect::HighlightSpot, Effect::Glow => 'details',
                Effect::Mark, Effect::MarkWear, Effect::MarkSettled, Effect::Letter, Effect::LetterFull => 'marks',
                Effect::GroundTexture,
                Effect::GroundColour,
                Effect::GroundShade,
                Effect::GroundLight,
                Effect::GroundPlants,
                Effect::GroundWet,
                Effect::GroundScene,
                Effect::Rim => 'base',
                default => null,
            },
        };

        return ($shared ?? $clause).' '.$view->value;
    }

    /** @param  non-empty-list<array{Area, Requirement}>  $places */
    private function ofClause(string $clause, View $view, array $places): Question
    {
        $areas = [];
        $mandatory = false;
        foreach ($places as [$area, $requirement]) {
            $areas[$area->key] = $area;
            $mandatory =
                $mandatory ||
                in_array($requirement->kind, [RequirementKind::Effect, RequirementKind::Technique], true);
        }
        $first = $places[0][1];

        return new Question(
            "clause:$clause:{$view->value}",
            $view,
            $this->words($first, $areas),
            array_map(strval(...), array_keys($areas)),
            [$clause],
            ['missing_technique', ...array_values(array_diff($this->causedBy($first), ['missing_technique']))],
            $mandatory,
            $first->severity,
            self::noticeOf($areas),
        );
    }

    /**
     * One question for several that one look answers, under the key of the first.
     *
     * @param  non-empty-list<Question>  $asked
     */
    private static function together(array $asked): Question
    {
        if (count($asked) === 1) {
            return $asked[0];
        }
        $first = $asked[0];
        $isFault = str_starts_with($first->key, 'fault:');
        $steps = array_map(
            fn (Question $q) => preg_match('/^(.+): can (.+) colour steps be told apart\?$/u', $q->text, $m) === 1
                ? "$m[2] on ".lcfirst($m[1])
                : null,
            $asked,
        );
        $text = $isFault
            ? $first->text
            : (! in_array(null, $steps, true)
                ? 'Can the colour steps be told apart: '.implode('; ', $steps).'?'
                : implode(
                    '; ',
                    array_map(
                        fn (Question $q, int $i) => $i === 0
                            ? rtrim($q->text, '?')
                            : lcfirst(rtrim($q->text, '?')),
                        $asked,
                        array_keys($asked),
                    ),
                ).'?');
        // What a clause says of its own shortfall is not said of every fault that is found with the same look.
        $severities = $isFault ? [] : array_filter(array_map(fn (Question $q) => $q->severity, $asked));
        $gravest = null;
        foreach (Severity::cases() as $severity) {
            $gravest ??= in_array($severity, $severities, true) ? $severity : null;
        }

        return new Question(
            $first->key,
            $first->view,
            $text,
            self::joined(array_map(fn (Question $q) => $q->areas, $asked)),
            self::joined(array_map(fn (Question $q) => $q->clauses, $asked)),
            self::joined(array_map(fn (Question $q) => $q->faults, $asked)),
            array_filter($asked, fn (Question $q) => $q->mandatory) !== [],
            $gravest,
            max(array_map(fn (Question $q) => $q->notice, $asked)),
        );
    }

    /**
     * @param  list<list<string>>  $lists
     * @return list<string> each word once
     */
    private static function joined(array $lists): array
    {
        return array_values(array_unique(array_merge(...$lists)));
    }

    /** @return array<string, Question> by key */
    private function ofFaults(): array
    {
        $seen = array_count_values(
            array_map(fn (Area $a) => self::viewOf($a)->value, $this->plan->request->sculpt->areas),
        );
        /**
         * @var array<string, array{text: string, view: View, areas: array<string, Area>, faults: array<string, true>,
         * mandatory: bool}> $asked
         */
        $asked = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            if ($area === null) {
                continue;
            }
            foreach ($this->faults->kinds as $kind) {
                if ($kind->key === 'missing_technique' || $kind->where === 'whole' || ! $this->canHave($area, $kind)) {
                    continue;
                }
                $view = self::viewOf($area);
                $any = $view !== View::Top && ($seen[$view->value] ?? 0) < 3;
                $key = 'fault:'.($any ? 'any' : $kind->group->value).":{$view->value}";
                $asked[$key] ??= [
                    'text' => $any
                        ? 'Is all that is seen from here covered, clean at the borders, smooth and in its colour?'
                        : $kind->group->question(),
                    'view' => $view,
                    'areas' => [],
                    'faults' => [],
                    'mandatory' => false,
                ];
                $asked[$key]['areas'][$area->key] = $area;
                $asked[$key]['faults'][$kind->key] = true;
                $asked[$key]['mandatory'] =
                    $asked[$key]['mandatory'] || ($kind->severity !== Severity::Minor && $area->focus >= 2);
            }
        }
        $questions = [];
        foreach ($asked as $key => $q) {
            $questions[$key] = new Question(
                $key,
                $q['view'],
                $q['text'],
                array_map(strval(...), array_keys($q['areas'])),
                [],
                array_map(strval(...), array_keys($q['faults'])),
                $q['mandatory'],
                null,
                self::noticeOf($q['areas']),
            );
        }
        $whole = array_filter($this->faults->kinds, fn (FaultKind $k) => $k->group === FaultGroup::Varnish);
        if ($this->plan->whole->choice?->uses('matt_varnish') === true) {
            $questions['fault:varnish:front'] = new Question(
                'fault:varnish:front',
                View::Front,
                FaultGroup::Varnish->question(),
                array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas),
                [],
                array_map(strval(...), array_keys($whole)),
                true,
                null,
                1,
            );
        }

        return $questions;
    }

    private function canHave(Area $area, FaultKind $kind): bool
    {
        if ($kind->materials !== [] && ! in_array($area->material, $kind->materials, true)) {
            return false;
        }
        if ($area->rank === Rank::Ground && $kind->group !== FaultGroup::Ground) {
            return false;
        }
        if ($kind->effects === []) {
            return true;
        }
        foreach (
            $this->plan->areas[$this->plan->request->sculpt->place($area->key)]->choice->techniques ?? [] as $used
        ) {
            if ($used->technique->givesAny(...$kind->effects)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> faults that what is asked for can have */
    private function causedBy(Requirement $requirement): array
    {
        $effects =
            $requirement->kind === RequirementKind::Technique && $requirement->technique !== null
                ? array_map(
                    fn (string $e) => Effect::from($e),
                    array_keys($this->plan->request->standard->technique($requirement->technique)->effects),
                )
                : $requirement->effects;
        $faults = [];
        foreach ($this->faults->kinds as $kind) {
            if (
                $kind->effects !== [] &&
                array_filter($kind->effects, fn (Effect $e) => in_array($e, $effects, true)) !== []
            ) {
                $faults[] = $kind->key;
            }
        }

        return $faults !== [] ? $faults : ['flat_area', 'colour_drift', 'patchy_cover', 'hard_step'];
    }

    /** @param  array<string, Area>  $areas */
    private static function noticeOf(array $areas): int
    {
        return (int) round(
            10 *
                array_sum(
                    array_map(fn (Area $a) => (self::WEIGHT[$a->focus] * max(1.0, $a->sharePct)) / 100, $areas),
                ) +
                max(0, ...array_values(array_map(fn (Area $a) => self::WEIGHT[$a->focus], $areas))),
        );
    }

    /** @param  array<string, Area>  $areas */
    private function words(Requirement $r, array $areas): string
    {
        $names = array_values(array_map(fn (Area $a) => mb_strtolower($a->name), $areas));
        $where =
            count($names) > 5
                ? implode(', ', array_slice($names, 0, 4)).' and '.(count($names) - 4).' more'
                : implode(', ', $names);
        $extent = match ($r->extent->word()) {
            'full' => array_filter($areas, fn (Area $a) => $a->rank !== Rank::Ground) === []
                ? ''
                : 'everywhere it should be',
            'prominent' => 'where it stands out most',
            default => 'at least in one spot',
        };
        $passes = $r->passes > 1 ? ", in $r->passes passes" : '';
        $what = match ($r->kind) {
            RequirementKind::Steps => 'Can '.
                ($r->min ?? 0).
                ($r->max === null ? ' or more' : " to $r->max").
                ' colour steps be told apart?',
            RequirementKind::Technique => 'Is the '.
                mb_strtolower($this->plan->request->standard->technique((string) $r->technique)->name).
                ' there'.
                $passes.
                '?',
            RequirementKind::Finish => self::finish($r),
            default => self::effect($r->effects[0] ?? null).($extent === '' ? '' : ", $extent")."$passes?",
        };

        return ucfirst("$where: ").lcfirst($what);
    }

    private static function effect(?Effect $effect): string
    {
        return match ($effect) {
            Effect::Shade => 'Is there shade in the recesses',
            Effect::HighlightRaised => 'Are the raised forms lightened',
            Effect::HighlightEdge => 'Is there a light line along the edges',
            Effect::HighlightSpot => 'Is there a point of light',
            Effect::Blend => 'Do the tones blend into one another',
            Effect::Separate => 'Is there a dark line between the parts',
            Effect::SeparateTinted => 'Is there a tinted dark line between the parts',
            Effect::PickOut => 'Is the detail picked out',
            Effect::Reflect => 'Are there reflections',
            Effect::Letter => 'Is writing suggested',
            Effect::LetterFull => 'Can the writing be read',
            Effect::Mark => 'Are the decals there',
            Effect::GroundTexture => 'Is the ground textured',
            Effect::GroundColour => 'Is the ground painted',
            Effect::GroundLight => 'Is the ground drybrushed',
            Effect::GroundPlants => 'Are there tufts',
            Effect::Rim => 'Is the rim painted',
            null => 'Is it there',
            default => 'Is there '.str_replace('_', ' ', $effect->value),
        };
    }

    private static function finish(Requirement $r): string
    {
        return match ($r->criterion) {
            Criterion::TonalSpan => 'Is there enough contrast from dark to light?',
            Criterion::LightFromAbove => 'Does the light come from above?',
            Criterion::ColourDrift => 'Do the colours match the rest of the unit?',
            Criterion::BarePrimer => 'Is no undercoat left bare?',
            Criterion::LineWidth => 'Are the lines fine enough?',
            Criterion::HardStep => 'Are there no stark layers?',
            default => 'Does the finish reach the tier?',
        };
    }
}
