<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Sculpt\Area;

/** Goes round the outlines of an area in even steps. */
final class Walk
{
    /**
     * @param  float  $every  mm from one step to the next
     * @return iterable<array{int, array{float, float}, array{float, float}}> number of the ring, the place in pixels
     *     and the normal there, of length 1
     */
    public static function round(Layout $layout, Area $area, float $every): iterable
    {
        foreach ($layout->rings as $ring) {
            if ($ring->area->key !== $area->key) {
                continue;
            }
            $n = count($ring->xs);
            $left = 0.0;
            for ($i = 0; $i < $n; $i++) {
                $j = ($i + 1) % $n;
                [$dx, $dy] = [$ring->xs[$j] - $ring->xs[$i], $ring->ys[$j] - $ring->ys[$i]];
                $long = hypot($dx, $dy);
                for (; $long > 0.0 && $left < $long; $left += $every * $layout->scale) {
                    $t = $left / $long;
                    $at = [$ring->xs[$i] + $t * $dx, $ring->ys[$i] + $t * $dy];
                    yield [$ring->no, $at, [-$dy / $long, $dx / $long]];
                }
                $left = max(0.0, $left - $long);
            }
        }
    }
}
