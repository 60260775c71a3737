<?php

declare(strict_types=1);

namespace Ordotype\Core\Outlook;

use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\PlannedArea;
use Ordotype\Core\Sculpt\Area;

/** Two plans of one model side by side: for each area what only one of them does, or does otherwise. */
final readonly class PlanComparison
{
    public function __construct(public Plan $one, public Plan $other)
    {
    }

    /**
     * @return list<array{area: Area|null, only_one: list<ChosenTechnique>, only_other: list<ChosenTechnique>,
     *     minutes_one: float|null, minutes_other: float|null}> areas that differ, the whole model first (area null)
     */
    public function differences(): array
    {
        $differences = [];
        foreach ($this->pairs() as [$area, $one, $other]) {
            [$a, $b] = [$one->choice->techniques ?? [], $other->choice->techniques ?? []];
            $onlyOne = self::beside($a, $b);
            $onlyOther = self::beside($b, $a);
            if ($onlyOne !== [] || $onlyOther !== []) {
                $differences[] = [
                    'area' => $area,
                    'only_one' => $onlyOne,
                    'only_other' => $onlyOther,
                    'minutes_one' => $one?->minutes(),
                    'minutes_other' => $other?->minutes(),
                ];
            }
        }

        return $differences;
    }

    /** @return list<array{Area|null, PlannedArea|null, PlannedArea|null}> */
    private function pairs(): array
    {
        $pairs = ['' => [null, $this->one->whole, $this->other->whole]];
        foreach ([$this->one, $this->other] as $side => $plan) {
            foreach ($plan->areas as $planned) {
                $key = (string) $planned->demand->area?->key;
                $pairs[$key] ??= [$planned->demand->area, null, null];
                $pairs[$key][$side + 1] = $planned;
            }
        }

        return array_values($pairs);
    }

    /**
     * @param  list<ChosenTechnique>  $list
     * @param  list<ChosenTechnique>  $other
     * @return list<ChosenTechnique> of the list, those the other does not have in the same way
     */
    private static function beside(array $list, array $other): array
    {
        $there = array_map(fn (ChosenTechnique $u) => "{$u->technique->key} $u->passes {$u->extent->value}", $other);

        return array_values(
            array_filter(
                $list,
                fn (ChosenTechnique $u) => ! in_array(
                    "{$u->technique->key} $u->passes {$u->extent->value}",
                    $there,
                    true,
                ),
            ),
        );
    }
}
