<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\WellKnown;

/** What is laid under paint that shows its ground: when it is put right, and that it is done in one pass. */
final readonly class Underlays
{
    /** @param  list<Step>  $steps */
    public function __construct(private array $steps, private Sculpt $sculpt, private PrecedenceGraph $edges)
    {
    }

    /**
     * @param  array<string, true>  $soiled  keys of areas onto which something strays before the stain that will show
     *     it, added to
     */
    public function put(array &$soiled): void
    {
        $this->groundsThatShow($soiled);
        $this->inOnePass();
    }

    /**
     * Where a stain shows its ground, the ground is put right only after what must stray onto it before; what need not
     * does so after.
     *
     * @param  array<string, true>  $soiled  keys of areas, added to
     */
    private function groundsThatShow(array &$soiled): void
    {
        $touchUps = $underlaid = [];
        foreach ($this->steps as $i => $step) {
            if ($step->area !== null && $step->technique->key === WellKnown::TOUCH_UP) {
                $touchUps[$step->area->key] = $i;
            } elseif ($step->area !== null && $step->technique->has(Effect::Underlay)) {
                $underlaid[$step->area->key] = true;
            }
        }
        foreach ($this->steps as $stain => $step) {
            $area = $step->area;
            $shows = $step->phase === Phase::Base && MethodOnModel::isStain($step->technique);
            if ($area === null || ! $shows || isset($underlaid[$area->key])) {
                continue;
            }
            foreach ($this->steps as $messy => $other) {
                $isStain = MethodOnModel::isStain($other->technique) && $other->pot() !== $step->pot();
                if (
                    ! ($other->isMessy() || $isStain) ||
                    $other->area === null ||
                    $other->phase === Phase::Wear ||
                    ! $this->sculpt->touchAtWork($area->key, $other->area->key)
                ) {
                    continue;
                }
                if (! isset($this->edges->reachedFrom($messy)[$stain])) {
                    if (! $isStain) {
                        $this->edges->put($stain, $messy, Rule::TouchUpFirst);
                    }
                } elseif (isset($touchUps[$area->key])) {
                    $this->edges->put($messy, $touchUps[$area->key], Rule::TouchUpFirst);
                } else {
                    $soiled[$area->key] = true;
                }
            }
        }
    }

    /**
     * Grounds are put right in one pass, and underlays of one colour laid in one, wherever no chain of rules parts
     * them, even where that costs waiting: what must come before one of them comes before all. Those that are parted
     * are taken together as early as they can be; what the grounds say comes before what the underlays would like.
     */
    public function inOnePass(): void
    {
        $pots = [];
        foreach ($this->steps as $i => $step) {
            if ($step->area !== null && $step->phase === Phase::Underlay) {
                $pots[$step->pot()][] = $i;
            }
        }
        $isTouchUp = fn (string $pot): bool => $this->steps[$pots[$pot][0]]->technique->key === WellKnown::TOUCH_UP;
        uksort($pots, fn (string $a, string $b) => [$isTouchUp($b), $a] <=> [$isTouchUp($a), $b]);
        foreach ($pots as $of) {
            while (count($of) > 1) {
                $pass = [];
                foreach ($this->earliestFirst($of) as $i) {
                    if (! $this->isParted($i, $pass)) {
                        $this->join($pass, $i);
                        $pass[] = $i;
                    }
                }
                $of = array_values(array_diff($of, $pass));
            }
        }
    }

    /**
     * @param  list<int>  $of
     * @return list<int> those that fewest of the others must come before, first
     */
    private function earliestFirst(array $of): array
    {
        $before = array_fill_keys($of, 0);
        foreach ($of as $i) {
            foreach (array_keys(array_intersect_key($this->edges->reachedFrom($i), $before)) as $later) {
                $before[$later]++;
            }
        }
        $place = fn (int $i): int => $this->sculpt->place((string) $this->steps[$i]->area?->key);
        usort($of, fn (int $a, int $b) => [$before[$a], $place($a)] <=> [$before[$b], $place($b)]);

        return $of;
    }

    /** @param  list<int>  $pass */
    private function isParted(int $step, array $pass): bool
    {
        $later = $this->edges->reachedFrom($step);
        foreach ($pass as $other) {
            if (isset($later[$other]) || isset($this->edges->reachedFrom($other)[$step])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Lets a step start with those of a pass: what comes before one of them comes before all.
     *
     * @param  list<int>  $pass
     */
    private function join(array $pass, int $step): void
    {
        $before = $this->edges->reversed();
        foreach ($pass as $other) {
            foreach ([[$other, $step], [$step, $other]] as [$from, $to]) {
                foreach (array_keys($before[$from]) as $earlier) {
                    if (! $this->edges->has($earlier, $to)) {
                        $this->edges->put($earlier, $to, Rule::SamePot);
                    }
                }
            }
        }
    }
}
