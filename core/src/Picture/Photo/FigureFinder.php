<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** Looks for the ends of the base and the top of a model that stands before an even ground. */
final class FigureFinder
{
    /** What stands out from the ground by more than this, L* or a* and b*, is the model. */
    private const STANDS_OUT = 8.0;

    /** L* from one pixel to the second next: an edge of the base, not of its shadow. */
    private const EDGE = 10.0;

    /** Of the model's height, in which the base is. */
    private const LOW = 0.2;

    /** Of the picture's height: a rule or a shadow at the very bottom is no base. */
    private const BOTTOM = 0.96;

    /** Share by which width over height may be off from the outlines'. */
    private const SHAPE = 0.05;

    /** Columns at either border that show the ground. */
    private const BORDER = 4;

    public function __construct(private readonly Reduced $picture)
    {
    }

    /**
     * @param  array{int, int, int}|null  $card  left, top and side of its middle field, pixels of the photograph
     * @return array{array{float, float}, array{float, float}, array{float, float}}|null base left, base right and top
     *     in pixels of the photograph; null where they are not found, or are of another shape than the figure
     */
    public function find(Sculpt $sculpt, View $view, ?array $card): ?array
    {
        $model = $this->largest($this->standingOut($card));
        if ($model === []) {
            return null;
        }
        $w = $this->picture->width;
        $rows = array_map(fn (int $i) => intdiv($i, $w), array_keys($model));
        [$top, $bottom] = [min($rows), min(max($rows), (int) (self::BOTTOM * $this->picture->height))];
        $left = $this->end($model, (int) ($bottom - self::LOW * ($bottom - $top)), $bottom, 1);
        $right = $this->end($model, (int) ($bottom - self::LOW * ($bottom - $top)), $bottom, -1);
        if ($left === null || $right === null || $right[0] <= $left[0]) {
            return null;
        }
        $tops = array_keys(array_filter($rows, fn (int $row) => $row === $top));
        $columns = array_map(fn (int $k) => array_keys($model)[$k] % $w, $tops);
        $found = [$left, $right, [array_sum($columns) / count($columns), (float) $top]];

        return $this->isOfShape($found, $sculpt, $view)
            ? array_map(fn (array $p): array => [
                ($p[0] + 0.5) * $this->picture->step,
                ($p[1] + 0.5) * $this->picture->step,
            ], $found)
            : null;
    }

    /**
     * @param  array{int, int, int}|null  $card
     * @return array<int, true> by place: what is not the ground
     */
    private function standingOut(?array $card): array
    {
        $p = $this->picture;
        $out = [];
        for ($row = 0; $row < $p->height; $row++) {
            $from = $row * $p->width;
            $left = $this->ground($from);
            $right = $this->ground($from + $p->width - self::BORDER);
            for ($x = 0; $x < $p->width; $x++) {
                $t = $x / $p->width;
                $i = $from + $x;
                $off = [
                    $p->l[$i] - $left[0] - $t * ($right[0] - $left[0]),
                    $p->a[$i] - $left[1] - $t * ($right[1] - $left[1]),
                    $p->b[$i] - $left[2] - $t * ($right[2] - $left[2]),
                ];
                $far = sqrt($off[0] ** 2 + $off[1] ** 2 + $off[2] ** 2);
                if ($far > self::STANDS_OUT && ! $this->isCard($x, $row, $card)) {
                    $out[$i] = true;
                }
            }
        }

        return $out;
    }

    /** @return array{float, float, float} the mean L*, a* and b* of the border from a place on */
    private function ground(int $from): array
    {
        $sum = [0.0, 0.0, 0.0];
        for ($i = $from; $i < $from + self::BORDER; $i++) {
            $sum[0] += $this->picture->l[$i];
            $sum[1] += $this->picture->a[$i];
            $sum[2] += $this->picture->b[$i];
        }

        return [$sum[0] / self::BORDER, $sum[1] / self::BORDER, $sum[2] / self::BORDER];
    }

    /** @param  array{int, int, int}|null  $card */
    private function isCard(int $x, int $row, ?array $card): bool
    {
        if ($card === null) {
            return false;
        }
        [$left, $top, $side] = array_map(fn (int $n) => $n / $this->picture->step, $card);
        $more = 0.35 * $side;

        return $x >= $left - $more &&
            $x <= $left + $side + $more &&
            $row >= $top - $side - $more &&
            $row <= $top + 2 * $side + $more;
    }

    /**
     * @param  array<int, true>  $places
     * @return array<int, true> those of them that hang together and are the most
     */
    private function largest(array $places): array
    {
        $w = $this->picture->width;
        $largest = [];
        while ($places !== []) {
            $start = array_key_first($places);
            unset($places[$start]);
            $part = [$start => true];
            $open = [$start];
            while (($i = array_pop($open)) !== null) {
                $x = $i % $w;
                foreach ([$x > 0 ? $i - 1 : -1, $x + 1 < $w ? $i + 1 : -1, $i - $w, $i + $w] as $j) {
                    if (isset($places[$j])) {
                        unset($places[$j]);
                        $part[$j] = true;
                        $open[] = $j;
                    }
                }
            }
            if (count($part) > count($largest)) {
                $largest = $part;
            }
        }
        ksort($largest);

        return $largest;
    }

    /**
     * Where the base ends: the outermost sharp edge in the lower rows.
     *
     * @param  array<int, true>  $model
     * @param  1|-1  $way  from the left or from the right
     * @return array{float, float}|null
     */
    private function end(array $model, int $from, int $to, int $way): ?array
    {
        $p = $this->picture;
        $ends = [];
        for ($row = $from; $row <= $to; $row++) {
            for ($k = 2; $k < $p->width - 2; $k++) {
                $x = $way === 1 ? $k : $p->width - 1 - $k;
                $i = $row * $p->width + $x;
                if (isset($model[$i]) && abs($p->l[$i + 1] - $p->l[$i - 1]) > self::EDGE) {
                    $ends[$row] = $x;
                    break;
                }
            }
        }
        if ($ends === []) {
            return null;
        }
        $outermost = $way === 1 ? min($ends) : max($ends);
        // A base ends in an upright line, its rim: the outlines' end is where that begins.
        $rows = array_keys(array_filter($ends, fn (int $x) => abs($x - $outermost) <= 1));

        [$first, $last] = [$rows[0] ?? $from, $rows[count($rows) - 1] ?? $from];

        return [(float) $outermost, $first + 0.2 * ($last - $first)];
    }

    /** @param  array{array{float, float}, array{float, float}, array{float, float}}  $found */
    private function isOfShape(array $found, Sculpt $sculpt, View $view): bool
    {
        [$l, $r, $t] = Placement::marks($sculpt, $view);
        [$width, $height] = $sculpt->frameMm ?? [60.0, 80.0];
        $asked = (($r[0] - $l[0]) * $width) / max(1e-6, ($l[1] - $t[1]) * $height);
        $is = ($found[1][0] - $found[0][0]) / max(1e-6, $found[0][1] - $found[2][1]);

        // Both ends lie as high as the outlines have them.
        $tall = max(1e-6, $found[0][1] - $found[2][1]);
        $slant = ($found[1][1] - $found[0][1]) / $tall - ($r[1] - $l[1]) / max(1e-6, $l[1] - $t[1]);

        return abs($is / $asked - 1) <= self::SHAPE && abs($slant) <= self::SHAPE;
    }
}
