<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\School;

/**
 * The rules of order between areas that touch. The first that speaks decides and the others yield: ring_then_gem,
 * skin_then_teeth, metals_policy, inner_finished, mess_first, inner_first. A rule yields where what it wants, together
 * with the order on each of the two areas, would turn round what one before it said of them. Common practice, no
 * source.
 */
final class NeighbourRules
{
    /** @var array<int, int> by step of an area: how many steps of the area come before it there */
    private array $nth = [];

    /**
     * @var array<string, array<string, array<int, int>>> by area and the other: by how many steps of the first, the
     *     first step of the other that must come after it
     */
    private array $said = [];

    /** @var list<array{string, string, int, int}> what the rule at hand says, in the same terms */
    private array $saying = [];

    /** @var array<string, list<Area>> by area: what touches it at work */
    private array $around = [];

    /** @var array<string, array<string, true>> by area: those under it for whose washes it waits */
    private array $waitsFor = [];

    private Turns $turns;

    /**
     * @param  list<Step>  $steps
     * @param  array<string, list<int>>  $byArea  each area's steps in their order there
     */
    public function __construct(
        private readonly array $steps,
        private readonly array $byArea,
        private readonly Sculpt $sculpt,
        private readonly Method $method,
        private readonly StepPhases $phases,
        private readonly PrecedenceGraph $edges,
    ) {
        $this->turns = new Turns($steps, $byArea, $sculpt, $method, $phases);
        foreach ($byArea as $own) {
            foreach ($own as $nth => $i) {
                $this->nth[$i] = $nth;
            }
        }
        foreach ($sculpt->areas as $area) {
            $touches = fn (Area $a): bool => isset($byArea[$a->key]) && $sculpt->touchAtWork($area->key, $a->key);
            $this->around[$area->key] = array_values(array_filter($sculpt->areas, $touches));
        }
    }

    public function put(): void
    {
        $areas = array_values(array_filter($this->sculpt->areas, fn (Area $a) => isset($this->byArea[$a->key])));
        array_map($this->ringThenGem(...), $areas);
        $this->settle();
        array_map($this->skinThenTeeth(...), $areas);
        $this->settle();
        $this->metals($areas);
        $this->settle();
        array_map($this->outermostAfterWashes(...), $areas);
        $this->settle();
        // Those that wait come last: what leads back to them need not wait for them in turn.
        usort($areas, fn (Area $a, Area $b) => isset($this->waitsFor[$a->key]) <=> isset($this->waitsFor[$b->key]));
        array_map($this->innerFinished(...), $areas);
        $this->settle();
        array_map($this->messFirst(...), $areas);
        $this->settle();
        array_map($this->innerFirst(...), $areas);
    }

    /** What a rule has said holds for those after it; with itself a rule can be in a circle, and that is named. */
    private function settle(): void
    {
        foreach ($this->saying as [$one, $other, $nth, $first]) {
            $this->said[$one][$other][$nth] = min($this->said[$one][$other][$nth] ?? PHP_INT_MAX, $first);
        }
        $this->saying = [];
    }

    private function ringThenGem(Area $gem): void
    {
        foreach ($gem->surround === null ? [] : $this->byArea[$gem->surround] ?? [] as $ring) {
            $phase = $this->steps[$ring]->phase;
            if ($phase === Phase::Base || ($this->phases->isLight($ring) && $phase !== Phase::Tidy)) {
                foreach ($this->painted($gem) as $i) {
                    $this->say($ring, $i, Rule::RingThenGem);
                }
            }
        }
    }

    private function skinThenTeeth(Area $teeth): void
    {
        if (! $teeth->material->isSetInSkin()) {
            return;
        }
        foreach ($this->sculpt->areas as $skin) {
            if ($skin->material !== Material::Skin || ! $this->sculpt->touch($teeth->key, $skin->key)) {
                continue;
            }
            foreach ($this->byArea[$skin->key] ?? [] as $shade) {
                // A stain shades as it gives the base colour.
                $isShade = $this->steps[$shade]->technique->has(Effect::Shade);
                foreach ($isShade ? $this->painted($teeth) : [] as $i) {
                    $this->say($shade, $i, Rule::SkinThenTeeth);
                }
            }
        }
    }

    /**
     * Metals first: what makes them metal, shaded, toned and drybrushed, comes before all other bases. Last: all that
     * is not metal is painted and varnished before.
     *
     * @param  list<Area>  $areas
     */
    private function metals(array $areas): void
    {
        if (! in_array($this->phases->metals, ['first', 'last'], true)) {
            return;
        }
        foreach ($areas as $metal) {
            foreach ($this->phases->isMetalWork($metal) ? $areas : [] as $other) {
                if ($this->phases->isMetalWork($other) || $other->rank === Rank::Ground) {
                    continue;
                }
                if ($this->phases->metals === 'last') {
                    [$earlier, $later] = [$this->painted($other), $this->painted($metal)];
                    if ($earlier !== [] && $later !== []) {
                        $this->say($earlier[count($earlier) - 1], $later[0], Rule::MetalsPolicy);
                    }

                    continue;
                }
                foreach ($metal->isMetal() ? $this->byArea[$metal->key] : [] as $i) {
                    $step = $this->steps[$i];
                    $isFirst =
                        $step->phase->isUnderLight() ||
                        ($step->phase === Phase::RaisedLight && $step->isMessy());
                    foreach ($isFirst ? $this->byArea[$other->key] : [] as $base) {
                        if ($this->steps[$base]->phase === Phase::Base) {
                            $this->say($i, $base, Rule::MetalsPolicy);
                        }
                    }
                }
            }
        }
    }

    /**
     * What has its turn early because it is messy, and lies on top of all that it touches, waits for the washes of what
     * lies under it and has its turn by its layer, and for the bases of what lies under those: else it would be
     * finished first and soiled by each of them.
     */
    private function outermostAfterWashes(Area $outer): void
    {
        $around = array_filter($this->around[$outer->key], fn (Area $a) => $a->rank !== Rank::Ground);
        $isOutermost = array_filter($around, fn (Area $a) => $a->layer > $outer->layer) === [];
        if (! $this->turns->isForItsMess($outer->key) || ! $isOutermost) {
            return;
        }
        $isBelow = fn (Area $a): bool => $a->layer < $outer->layer && $this->turns->isByLayer($a->key);
        $isWashed = fn (Area $a): bool => array_filter($this->byArea[$a->key], $this->isWash(...)) !== [];
        $under = array_filter($around, $isBelow);
        $washed = array_filter($under, $isWashed);
        foreach ($under as $inner) {
            $isOver = fn (Area $a): bool => $this->sculpt->touchAtWork($a->key, $inner->key) &&
                $this->turns->compare($inner->key, $a->key) < 0;
            $isUnderWashed = array_filter($washed, $isOver) !== [];
            foreach ($this->byArea[$inner->key] as $i) {
                $isFirst = $this->isWash($i) || ($isUnderWashed && $this->steps[$i]->phase === Phase::Base);
                foreach ($isFirst ? $this->brushed($outer) : [] as $j) {
                    $this->say($i, $j, Rule::InnerFinished);
                }
            }
            if ($washed !== []) {
                $this->waitsFor[$outer->key][$inner->key] = true;
            }
        }
    }

    private function isWash(int $step): bool
    {
        return $this->steps[$step]->phase === Phase::Shade && $this->steps[$step]->isMessy();
    }

    /** What strays is done on an inner area before anything is begun on what lies on it. */
    private function innerFinished(Area $inner): void
    {
        foreach ($this->finishedFirst($inner) as $messy) {
            foreach ($this->around[$inner->key] as $outer) {
                if ($outer->rank === Rank::Ground || $this->turns->compare($inner->key, $outer->key) >= 0) {
                    continue;
                }
                $shared = $this->sharedWith($messy, $outer);
                foreach ($this->brushed($outer) as $i) {
                    $leadsBack = isset($this->waitsFor[$inner->key][$outer->key]) &&
                        isset($this->edges->reachedFrom($i)[$messy]);
                    if ($this->nth[$i] > $shared && ! $leadsBack) {
                        $this->say($messy, $i, Rule::InnerFinished);
                    }
                }
            }
        }
    }

    /** @return list<int> the steps of an area that inner_finished speaks of */
    private function finishedFirst(Area $area): array
    {
        $isFinished = $this->method->answerFor(School::Neighbours, $area, $this->sculpt) !== 'all_bases';

        return ! $isFinished
            ? []
            : array_values(
                array_filter($this->byArea[$area->key], fn (int $i) => $this->steps[$i]->isFinishedInside()),
            );
    }

    /**
     * Up to which step an area need not wait: where it wants the very same pot for the same technique in that pass,
     * both are done in one; what follows there waits all the same.
     *
     * @return int how many come before that step; −1: there is none
     */
    private function sharedWith(int $messy, Area $area): int
    {
        foreach ($this->byArea[$area->key] as $nth => $i) {
            if (
                $this->steps[$i]->pot() === $this->steps[$messy]->pot() &&
                $this->steps[$i]->pass === $this->steps[$messy]->pass
            ) {
                return $nth;
            }
        }

        return -1;
    }

    private function messFirst(Area $area): void
    {
        foreach ($this->byArea[$area->key] as $messy) {
            $step = $this->steps[$messy];
            if (! $step->isMessy() || $step->phase === Phase::Wear) {
                continue;
            }
            foreach ($this->around[$area->key] as $other) {
                $isEarlier = $this->turns->compare($other->key, $area->key) < 0;
                $isByGround = $area->rank === Rank::Ground || $other->rank === Rank::Ground;
                foreach ($this->byArea[$other->key] as $i) {
                    $neat = $this->steps[$i];
                    if (
                        ! $neat->isMessy() &&
                        ! ($neat->phase === Phase::Wear && $isByGround) &&
                        $this->phases->place($i) >= $this->phases->place($messy) &&
                        ! ($isEarlier && $this->isFinishedFirst($i, $other)) &&
                        ! $this->goesIntoTheSame($i, $messy)
                    ) {
                        $this->say($messy, $i, Rule::MessFirst);
                    }
                }
            }
        }
    }

    /** Whether a step comes before its area is tidied, or by the last of it that inner_finished speaks of. */
    private function isFinishedFirst(int $step, Area $area): bool
    {
        $last = max([-1, ...array_map(fn (int $i) => $this->nth[$i], $this->finishedFirst($area))]);

        return $this->nth[$step] <= $last ||
            $this->phases->place($step) < Phase::Tidy->rank($this->steps[$step]->technique);
    }

    /** Both washes are one pass, and what goes into them while they are wet comes after it. */
    private function goesIntoTheSame(int $then, int $messy): bool
    {
        $into = $this->phases->wet[$then] ?? null;

        return $into !== null && $this->steps[$into]->pot() === $this->steps[$messy]->pot();
    }

    private function innerFirst(Area $inner): void
    {
        if ($inner->rank === Rank::Ground) {
            return;
        }
        foreach ($this->byArea[$inner->key] as $i) {
            $step = $this->steps[$i];
            $isSprayed = $step->isSprayed();
            $isBase = $step->phase->laysBase();
            if (! $isBase || ($step->isMessy() && ! $isSprayed)) {
                continue;
            }
            foreach ($this->around[$inner->key] as $outer) {
                if ($outer->rank === Rank::Ground || $this->isSettledElsewhere($inner, $outer)) {
                    continue;
                }
                if ($isSprayed) {
                    foreach ($this->brushedAfterSprays($outer) as $j) {
                        $this->say($i, $j, Rule::InnerFirst);
                    }
                } elseif ($this->turns->compare($inner->key, $outer->key) < 0) {
                    foreach ($this->brushed($outer) as $j) {
                        if ($this->steps[$j]->phase === Phase::Base && ! $this->steps[$j]->isMessy()) {
                            $this->say($i, $j, Rule::InnerFirst);
                        }
                    }
                }
            }
        }
    }

    /** A gem comes after its ring, metals that come first before all other bases: inner_first leaves that alone. */
    private function isSettledElsewhere(Area $inner, Area $outer): bool
    {
        return $inner->surround !== null ||
            $outer->surround !== null ||
            ($this->phases->metals === 'first' && ($inner->isMetal() || $outer->isMetal()));
    }

    /** @return list<int> brushed steps of an area */
    private function brushed(Area $area): array
    {
        return array_values(
            array_filter(
                $this->byArea[$area->key],
                fn (int $i) => ! $this->steps[$i]->isSprayed() &&
                    $this->steps[$i]->phase !== Phase::JointTidy,
            ),
        );
    }

    /** @return list<int> brushed steps of an area that no spray of its own follows */
    private function brushedAfterSprays(Area $area): array
    {
        $last = -1;
        foreach ($this->byArea[$area->key] as $nth => $i) {
            $last = $this->steps[$i]->isSprayed() ? $nth : $last;
        }

        return array_values(array_filter($this->brushed($area), fn (int $i) => $this->nth[$i] > $last));
    }

    /** @return list<int> steps of the figure's own paint */
    private function painted(Area $area): array
    {
        return array_values(
            array_filter(
                $this->byArea[$area->key],
                fn (int $i) => $this->phases->isFigurePaint($this->steps[$i]),
            ),
        );
    }

    /** Puts an edge, unless that would turn round what was said of the two areas before. */
    private function say(int $earlier, int $later, Rule $rule): void
    {
        [$one, $other] = [$this->steps[$earlier]->area?->key, $this->steps[$later]->area?->key];
        if ($one === null || $other === null || $one === $other) {
            return;
        }
        foreach ($this->said[$other][$one] ?? [] as $nth => $first) {
            if ($nth >= $this->nth[$later] && $first <= $this->nth[$earlier]) {
                return;
            }
        }
        $this->saying[] = [$one, $other, $this->nth[$earlier], $this->nth[$later]];
        $this->edges->put($earlier, $later, $rule);
    }
}
