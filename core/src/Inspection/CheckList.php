<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\ReasonKind;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultGroup;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;

/**
 * What to look at on a piece: a question for each clause and view, one for each kind of fault and view, and the final
 * look. Clauses that are answered by one and the same look share a question, and so do the kinds of fault in a view
 * that
 * holds one or two areas; a list nobody gets through is no check.
 */
final readonly class CheckList
{
    /** Notice of an area by its focus, 0 to 3 (house default). */
    private const WEIGHT = [1, 2, 4, 8];

    private FaultQuestions $faultQuestions;

    public function __construct(private Plan $plan, private FaultTable $faults)
    {
        $this->faultQuestions = new FaultQuestions($plan, $faults);
    }

    /** @return list<Question> view by view, in each the most noticed first, the final look at the end */
    public function questions(): array
    {
        $faults = $this->faultQuestions->all();
        $questions = $this->ofClauses($faults);
        $place = fn (Question $q): int => (int) array_search(
            $q->view,
            [View::Front, View::Back, View::Under, View::Top],
            true,
        );
        $order = fn (Question $q): array => [$place($q), -$q->notice, $q->key->id];
        usort($questions, fn (Question $a, Question $b) => $order($a) <=> $order($b));
        $areas = array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas);
        $questions[] = new Question(
            QuestionKey::finalLook(),
            null,
            $areas,
            [],
            array_keys($this->faults->kinds),
            true,
            null,
            0,
        );

        return $questions;
    }

    /** @param  list<Area>  $areas */
    public static function noticeOf(array $areas): int
    {
        $weights = array_map(fn (Area $a) => self::WEIGHT[$a->focus], $areas);
        $shares = array_map(fn (Area $a) => (self::WEIGHT[$a->focus] * max(1.0, $a->sharePct)) / 100, $areas);

        return (int) round(10 * array_sum($shares) + max(0, ...$weights));
    }

    /**
     * What clauses ask, gathered by the look that answers it; a finish that a look for faults answers anyway joins
     * that.
     *
     * @param  array<string, Question>  $faults  by key
     * @return list<Question> those looks for faults included
     */
    private function ofClauses(array $faults): array
    {
        /** @var array<string, array<string, ClausePlaces>> $looks by look, then by clause */
        $looks = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            if ($area === null) {
                continue;
            }
            foreach ($planned->demand->requirements as $requirement) {
                foreach (self::clausesOf($requirement) as $clause) {
                    $look = self::look($requirement, $clause, $area->view(), $faults);
                    $looks[$look][$clause] ??= new ClausePlaces($clause, $area->view());
                    $looks[$look][$clause]->add($requirement, $area);
                }
            }
        }
        $questions = [];
        foreach ($looks as $key => $clauses) {
            $asked = array_map(fn (ClausePlaces $p) => $this->ofClause($p), array_values($clauses));
            if (isset($faults[$key])) {
                $faults[$key] = self::together($faults[$key], ...$asked);
            } elseif ($asked !== []) {
                $questions[] = self::together(...$asked);
            }
        }

        return [...$questions, ...array_values($faults)];
    }

    /** @return list<string> ids of the clauses that ask it; of what else does where no clause does */
    private static function clausesOf(Requirement $requirement): array
    {
        $own = array_values(array_filter($requirement->reasons, fn (Reason $r) => $r->kind === ReasonKind::Clause));

        return Reason::ids($own === [] ? array_slice($requirement->reasons, 0, 1) : $own);
    }

    /**
     * The look that answers a requirement: the key of a fault's question, a name shared by several clauses, or the
     * clause itself.
     *
     * @param  array<string, Question>  $faults
     */
    private static function look(Requirement $r, string $clause, View $view, array $faults): string
    {
        if ($r instanceof FinishRequirement) {
            $group = match ($r->criterion) {
                Criterion::BarePrimer => FaultGroup::Cover,
                Criterion::ColourDrift, Criterion::BaseColour => FaultGroup::Colour,
                Criterion::LineWidth, Criterion::LineShare => FaultGroup::Lines,
                default => FaultGroup::Light,
            };
            foreach ([QuestionKey::ofFaults($group, $view), QuestionKey::ofFaults(null, $view)] as $key) {
                if (isset($faults[$key->id])) {
                    return $key->id;
                }
            }
        }
        $shared = match (true) {
            $r instanceof StepsRequirement => 'steps',
            $r instanceof EffectRequirement => self::sharedLook($r->effects[0] ?? null),
            default => null,
        };

        return ($shared ?? $clause).' '.$view->value;
    }

    private static function sharedLook(?Effect $effect): ?string
    {
        return match ($effect) {
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
        };
    }

    private function ofClause(ClausePlaces $places): Question
    {
        $first = $places->first();
        $areas = $places->areas();
        $caused = array_values(array_diff($this->causedBy($first), [FaultTable::MISSING]));

        return new Question(
            QuestionKey::ofClause($places->clause, $places->view),
            $places->view,
            array_map(fn (Area $a) => $a->key, $areas),
            [$places->clause],
            [FaultTable::MISSING, ...$caused],
            $places->isMandatory(),
            $first->severity,
            self::noticeOf($areas),
            [new AskedThere($first, $areas)],
        );
    }

    /** One question for several that one look answers, under the key of the first. */
    private static function together(Question $first, Question ...$others): Question
    {
        if ($others === []) {
            return $first;
        }
        $asked = [$first, ...array_values($others)];
        // What a clause says of its own shortfall is not said of every fault that is found with the same look.
        $severities = $first->looksForFaults() ? [] : array_map(fn (Question $q) => $q->severity, $asked);
        $gravest =
            array_values(array_filter(Severity::cases(), fn (Severity $s) => in_array($s, $severities, true)))[0] ??
            null;

        return new Question(
            $first->key,
            $first->view,
            self::joined(array_map(fn (Question $q) => $q->areas, $asked)),
            self::joined(array_map(fn (Question $q) => $q->clauses, $asked)),
            self::joined(array_map(fn (Question $q) => $q->faults, $asked)),
            array_filter($asked, fn (Question $q) => $q->mandatory) !== [],
            $gravest,
            max(array_map(fn (Question $q) => $q->notice, $asked)),
            $first->looksForFaults() ? [] : array_merge(...array_map(fn (Question $q) => $q->asked, $asked)),
            $first->group,
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

    /** @return list<string> faults that what is asked for can have */
    private function causedBy(Requirement $requirement): array
    {
        $effects = match (true) {
            $requirement instanceof TechniqueRequirement => array_map(
                fn (string $e) => Effect::from($e),
                array_keys($this->plan->request->standard->technique($requirement->technique)->effects),
            ),
            $requirement instanceof EffectRequirement => $requirement->effects,
            default => [],
        };
        $can = fn (FaultKind $k): bool => array_filter($k->effects, fn (Effect $e) => in_array($e, $effects, true)) !==
            [];
        $faults = array_map(fn (FaultKind $k) => $k->key, array_values(array_filter($this->faults->kinds, $can)));

        return $faults !== [] ? $faults : FaultTable::ANYWHERE;
    }
}
