<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;

/** Two plans of one model side by side: for each area what only one of them does, or does otherwise. */
final readonly class PlanComparison
{
    public function __construct(public Plan $one, public Plan $other)
    {
    }

    /** @return list<AreaDifference> areas that differ, the whole model first */
    public function differences(): array
    {
        $differences = [$this->difference($this->one->whole, $this->other->whole)];
        $others = self::byKey($this->other);
        foreach (self::byKey($this->one) as $key => $one) {
            $differences[] = $this->difference($one, $others[$key] ?? null);
            unset($others[$key]);
        }
        foreach ($others as $other) {
            $differences[] = $this->difference(null, $other);
        }

        return array_values(
            array_filter($differences, fn (AreaDifference $d) => $d->onlyOne !== [] || $d->onlyOther !== []),
        );
    }

    private function difference(?PlannedArea $one, ?PlannedArea $other): AreaDifference
    {
        [$a, $b] = [$one->choice->techniques ?? [], $other->choice->techniques ?? []];
        $area = $one->demand->area ?? $other?->demand->area;

        return new AreaDifference(
            $area,
            self::beside($a, $b),
            self::beside($b, $a),
            $one?->minutes(),
            $other?->minutes(),
        );
    }

    /** @return array<string, PlannedArea> */
    private static function byKey(Plan $plan): array
    {
        $keys = array_map(fn (PlannedArea $a) => (string) $a->demand->area?->key, $plan->areas);

        return array_combine($keys, $plan->areas);
    }

    /**
     * @param  list<ChosenTechnique>  $list
     * @param  list<ChosenTechnique>  $other
     * @return list<ChosenTechnique> of the list, those the other does not have in the same way
     */
    private static function beside(array $list, array $other): array
    {
        return array_values(
            array_filter($list, function (ChosenTechnique $u) use ($other): bool {
                foreach ($other as $there) {
                    if (
                        $there->technique->key === $u->technique->key &&
                        $there->passes === $u->passes &&
                        $there->extent === $u->extent
                    ) {
                        return false;
                    }
                }

                return true;
            }),
        );
    }
}
