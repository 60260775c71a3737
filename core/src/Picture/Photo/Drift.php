<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;

/** How far the models of a unit have drifted apart in colour, area by area. */
final class Drift
{
    /** Of fewer there is no unit. */
    private const LEAST = 2;

    /**
     * The middle of the unit: of each area the median L*, a* and b* over its models.
     *
     * @param  array<int, array<string, Lab>>  $models  by number, then by area key: the median colour
     * @return array<string, Lab> by area key; without those that fewer than two models show
     */
    public static function middle(array $models): array
    {
        $byArea = [];
        foreach ($models as $areas) {
            foreach ($areas as $key => $lab) {
                $byArea[$key][] = $lab;
            }
        }
        $middle = [];
        foreach ($byArea as $key => $labs) {
            if (count($labs) >= self::LEAST) {
                $middle[$key] = new Lab(
                    self::median(array_map(fn (Lab $l) => $l->l, $labs)),
                    self::median(array_map(fn (Lab $l) => $l->a, $labs)),
                    self::median(array_map(fn (Lab $l) => $l->b, $labs)),
                );
            }
        }

        return $middle;
    }

    /**
     * ΔE00 of every model's areas from a reference, the worst first.
     *
     * @param  array<int, array<string, Lab>>  $models
     * @param  array<string, Lab>  $from  by area key: the middle of the unit, or the test model
     * @return list<array{model: int, area: string, deltaE: float}>
     */
    public static function of(array $models, array $from): array
    {
        $off = [];
        foreach ($models as $number => $areas) {
            foreach ($areas as $key => $lab) {
                if (isset($from[$key])) {
                    $off[] = ['model' => $number, 'area' => $key, 'deltaE' => $lab->deltaE00($from[$key])];
                }
            }
        }
        usort(
            $off,
            fn (array $a, array $b) => [$b['deltaE'], $a['model'], $a['area']] <=> [
                $a['deltaE'],
                $b['model'],
                $b['area'],
            ],
        );

        return $off;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
