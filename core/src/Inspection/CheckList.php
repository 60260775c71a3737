<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Requirement;
use Ordotype\Core\Planning\RequirementKind;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Facing;
use Ordotype\Core\Standard\Rank;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\View;

/** What to look at on a piece: one question per clause and view, one per kind of fault and view, and the final look. */
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
        $questions = [...$this->ofClauses(), ...$this->ofFaults()];
        $place = fn (Question $q): int => $q->view === null ? 9 : (int) array_search($q->view, [View::Front, View::Back, View::Under, View::Top], true);
        usort($questions, fn (Question $a, Question $b) => [$place($a), -$a->notice, $a->key] <=> [$place($b), -$b->notice, $b->key]);
        $questions[] = new Question(self::FINAL_LOOK, null, 'Turned slowly in the hand, left and right included: is there paint where it should not be, or something forgotten?',
            array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas), [], array_keys($this->faults->kinds), true, null, 0);

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

    /** @return list<Question> */
    private function ofClauses(): array
    {
        /** @var array<string, array{view: View, areas: array<string, Area>, first: Requirement, clauses: list<string>, mandatory: bool, severity: Severity|null}> $asked */
        $asked = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            if ($area === null) {
                continue;
            }
            foreach ($planned->demand->requirements as $requirement) {
                foreach (array_filter($requirement->clauses, fn (string $id) => ! str_starts_with($id, 'amend.') || count($requirement->clauses) === 1) as $clause) {
                    $view = self::viewOf($area);
                    $key = "clause:$clause:{$view->value}";
                    $asked[$key] ??= ['view' => $view, 'areas' => [], 'first' => $requirement, 'clauses' => [$clause], 'mandatory' => false, 'severity' => $requirement->severity];
                    $asked[$key]['areas'][$area->key] = $area;
                    $asked[$key]['mandatory'] = $asked[$key]['mandatory'] || in_array($requirement->kind, [RequirementKind::Effect, RequirementKind::Technique], true);
                }
            }
        }
        $questions = [];
        foreach ($asked as $key => $q) {
            $questions[] = new Question($key, $q['view'], $this->words($q['first'], $q['areas']), array_map(strval(...), array_keys($q['areas'])), $q['clauses'],
                ['missing_technique', ...array_values(array_diff($this->causedBy($q['first']), ['missing_technique']))], $q['mandatory'], $q['severity'], self::noticeOf($q['areas']));
        }

        return $questions;
    }

    /** @return list<Question> */
    private function ofFaults(): array
    {
        /** @var array<string, array{group: FaultGroup, view: View, areas: array<string, Area>, faults: array<string, true>, mandatory: bool}> $asked */
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
                $key = "fault:{$kind->group->value}:{$view->value}";
                $asked[$key] ??= ['group' => $kind->group, 'view' => $view, 'areas' => [], 'faults' => [], 'mandatory' => false];
                $asked[$key]['areas'][$area->key] = $area;
                $asked[$key]['faults'][$kind->key] = true;
                $asked[$key]['mandatory'] = $asked[$key]['mandatory'] || ($kind->severity !== Severity::Minor && $area->focus >= 2);
            }
        }
        $questions = [];
        foreach ($asked as $key => $q) {
            $questions[] = new Question($key, $q['view'], $q['group']->question(), array_map(strval(...), array_keys($q['areas'])), [],
                array_map(strval(...), array_keys($q['faults'])), $q['mandatory'], null, self::noticeOf($q['areas']));
        }
        $whole = array_filter($this->faults->kinds, fn (FaultKind $k) => $k->group === FaultGroup::Varnish);
        if ($this->plan->whole->choice?->uses('matt_varnish') === true) {
            $questions[] = new Question('fault:varnish:front', View::Front, FaultGroup::Varnish->question(), array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas), [],
                array_map(strval(...), array_keys($whole)), true, null, 1);
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
        foreach ($this->plan->areas[$this->plan->request->sculpt->place($area->key)]->choice->techniques ?? [] as $used) {
            if ($used->technique->givesAny(...$kind->effects)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> faults that what is asked for can have */
    private function causedBy(Requirement $requirement): array
    {
        $effects = $requirement->kind === RequirementKind::Technique && $requirement->technique !== null
            ? array_map(fn (string $e) => Effect::from($e), array_keys($this->plan->request->standard->technique($requirement->technique)->effects))
            : $requirement->effects;
        $faults = [];
        foreach ($this->faults->kinds as $kind) {
            if ($kind->effects !== [] && array_filter($kind->effects, fn (Effect $e) => in_array($e, $effects, true)) !== []) {
                $faults[] = $kind->key;
            }
        }

        return $faults !== [] ? $faults : ['flat_area', 'colour_drift', 'patchy_cover', 'hard_step'];
    }

    /** @param  array<string, Area>  $areas */
    private static function noticeOf(array $areas): int
    {
        return (int) round(10 * array_sum(array_map(fn (Area $a) => self::WEIGHT[$a->focus] * max(1.0, $a->sharePct) / 100, $areas)) + max(0, ...array_values(array_map(fn (Area $a) => self::WEIGHT[$a->focus], $areas))));
    }

    /** @param  array<string, Area>  $areas */
    private function words(Requirement $r, array $areas): string
    {
        $names = array_values(array_map(fn (Area $a) => mb_strtolower($a->name), $areas));
        $where = count($names) > 5 ? implode(', ', array_slice($names, 0, 4)).' and '.(count($names) - 4).' more' : implode(', ', $names);
        $extent = match ($r->extent->word()) {
            'full' => 'everywhere it should be',
            'prominent' => 'where it stands out most',
            default => 'at least in one spot',
        };
        $passes = $r->passes > 1 ? ", in $r->passes passes" : '';
        $what = match ($r->kind) {
            RequirementKind::Steps => 'Can '.($r->min ?? 0).($r->max === null ? ' or more' : " to $r->max").' colour steps be told apart?',
            RequirementKind::Technique => 'Is the '.mb_strtolower($this->plan->request->standard->technique((string) $r->technique)->name).' there'.$passes.'?',
            RequirementKind::Finish => self::finish($r),
            default => self::effect($r->effects[0] ?? null).", $extent$passes?",
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
