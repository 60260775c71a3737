<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultGroup;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\WellKnown;

/** The looks for faults: one for each group of them and view, and one for all of them where a view holds little. */
final readonly class FaultQuestions
{
    /** A view with fewer areas than this is looked over at once. */
    private const FEW = 3;

    public function __construct(private Plan $plan, private FaultTable $faults)
    {
    }

    /** @return array<string, Question> by key */
    public function all(): array
    {
        $areas = $this->plan->request->sculpt->areas;
        $seen = array_count_values(array_map(fn (Area $a) => $a->view()->value, $areas));
        $questions = [];
        foreach ($areas as $area) {
            $view = $area->view();
            $any = $view !== View::Top && ($seen[$view->value] ?? 0) < self::FEW;
            foreach ($this->faults->kinds as $kind) {
                if ($kind->key !== FaultTable::MISSING && $kind->where !== 'whole' && $this->canHave($area, $kind)) {
                    $group = $any ? null : $kind->group;
                    $key = QuestionKey::ofFaults($group, $view);
                    $questions[$key->id] = $this->with($questions[$key->id] ?? null, $key, $group, $area, $kind);
                }
            }
        }

        return $this->ofVarnish() + array_map($this->noticed(...), $questions);
    }

    private function with(?Question $q, QuestionKey $key, ?FaultGroup $group, Area $area, FaultKind $kind): Question
    {
        $mandatory = $kind->severity !== Severity::Minor && $area->focus >= 2;
        $areas = array_values(array_unique([...$q->areas ?? [], $area->key]));
        $faults = array_values(array_unique([...$q->faults ?? [], $kind->key]));

        return new Question(
            $key,
            $area->view(),
            $areas,
            [],
            $faults,
            $mandatory || $q?->mandatory === true,
            null,
            0,
            group: $group,
        );
    }

    private function noticed(Question $q): Question
    {
        $notice = CheckList::noticeOf(array_map(fn (string $a) => $this->plan->request->sculpt->area($a), $q->areas));

        return new Question(
            $q->key,
            $q->view,
            $q->areas,
            [],
            $q->faults,
            $q->mandatory,
            null,
            $notice,
            group: $q->group,
        );
    }

    /** @return array<string, Question> */
    private function ofVarnish(): array
    {
        if ($this->plan->whole->choice?->uses(WellKnown::MATT_VARNISH) !== true) {
            return [];
        }
        $key = QuestionKey::ofFaults(FaultGroup::Varnish, View::Front);
        $isVarnish = fn (FaultKind $k): bool => $k->group === FaultGroup::Varnish;
        $faults = array_map(
            fn (FaultKind $k) => $k->key,
            array_values(array_filter($this->faults->kinds, $isVarnish)),
        );
        $areas = array_map(fn (Area $a) => $a->key, $this->plan->request->sculpt->areas);

        return [
            $key->id => new Question(
                $key,
                View::Front,
                $areas,
                [],
                $faults,
                true,
                null,
                1,
                group: FaultGroup::Varnish,
            ),
        ];
    }

    private function canHave(Area $area, FaultKind $kind): bool
    {
        if ($kind->materials !== [] && ! in_array($area->material, $kind->materials, true)) {
            return false;
        }
        if ($area->rank === Rank::Ground && $kind->group !== FaultGroup::Ground) {
            return false;
        }
        $isUnpainted = $area->rank !== Rank::Ground && ! $this->gives($area, [Effect::BaseColour]);
        if ($isUnpainted && $kind->group === FaultGroup::Cover) {
            return false;
        }

        return $kind->effects === [] || $this->gives($area, $kind->effects);
    }

    /** @param  list<Effect>  $effects */
    private function gives(Area $area, array $effects): bool
    {
        foreach ($this->plan->area($area->key)->choice->techniques ?? [] as $used) {
            if ($used->technique->givesAny(...$effects)) {
                return true;
            }
        }

        return false;
    }
}
