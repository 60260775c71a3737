<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use InvalidArgumentException;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** Where the outlines lie in a photograph: an affine map from fractions of the frame to pixels. */
final readonly class Placement
{
    /**
     * @param  array{float, float, float}  $across  x = a·u + b·v + c
     * @param  array{float, float, float}  $down  y = a·u + b·v + c
     * @param  array<string, array{float, float}>  $shifts  by area key: pixels by which its outlines lie elsewhere
     */
    public function __construct(
        public View $view,
        public array $across,
        public array $down,
        public array $shifts = [],
    ) {
    }

    /** @param  array<string, array{float, float}>  $shifts  by area key, pixels */
    public function shifted(array $shifts): self
    {
        return new self($this->view, $this->across, $this->down, $shifts);
    }

    /** A picture that shows just the frame, as drawings do. */
    public static function whole(View $view, int $width, int $height): self
    {
        return new self($view, [(float) $width, 0.0, 0.0], [0.0, (float) $height, 0.0]);
    }

    /**
     * By three points of the photograph: where the base begins on the left, where it ends on the right, and the top.
     *
     * @param  array{float, float}  $left  pixels
     * @param  array{float, float}  $right
     * @param  array{float, float}  $top
     *
     * @throws InvalidArgumentException when the three lie on one line, or there are no outlines in the view
     */
    public static function ofPoints(Sculpt $sculpt, View $view, array $left, array $right, array $top): self
    {
        [$l, $r, $t] = self::marks($sculpt, $view);
        $det = ($r[0] - $l[0]) * ($t[1] - $l[1]) - ($t[0] - $l[0]) * ($r[1] - $l[1]);
        $spread = ($right[0] - $left[0]) * ($top[1] - $left[1]) - ($top[0] - $left[0]) * ($right[1] - $left[1]);
        if (abs($det) < 1e-9 || abs($spread) < 1.0) {
            throw new InvalidArgumentException('The three points lie on one line: nothing can be placed by them.');
        }
        $row = function (int $k) use ($l, $r, $t, $left, $right, $top, $det): array {
            [$one, $other] = [$right[$k] - $left[$k], $top[$k] - $left[$k]];
            $a = ($one * ($t[1] - $l[1]) - $other * ($r[1] - $l[1])) / $det;
            $b = ($other * ($r[0] - $l[0]) - $one * ($t[0] - $l[0])) / $det;

            return [$a, $b, $left[$k] - $a * $l[0] - $b * $l[1]];
        };

        return new self($view, $row(0), $row(1));
    }

    /**
     * The points of a sculpt that are placed, in fractions of its frame.
     *
     * @return array{array{float, float}, array{float, float}, array{float, float}} base left, base right, top
     *
     * @throws InvalidArgumentException when the view has no outlines
     */
    public static function marks(Sculpt $sculpt, View $view): array
    {
        $all = $lying = [];
        foreach ($sculpt->areas as $area) {
            foreach ($area->outline[$view->value] ?? [] as $ring) {
                array_push($all, ...$ring);
                if ($area->rank === Rank::Ground) {
                    array_push($lying, ...$ring);
                }
            }
        }
        if ($all === []) {
            throw new InvalidArgumentException("$sculpt->name has no outlines in this view.");
        }
        $lying = $lying === [] ? $all : $lying;

        return [self::first($lying, 0, 1), self::first($lying, 0, -1), self::first($all, 1, 1)];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  0|1  $k  across or down
     * @param  1|-1  $sign
     * @return array{float, float} the one that lies furthest that way
     */
    private static function first(array $points, int $k, int $sign): array
    {
        $best = $points[0];
        foreach ($points as $point) {
            $best = $sign * $point[$k] < $sign * $best[$k] ? $point : $best;
        }

        return $best;
    }

    /**
     * @param  array{float, float}  $point  fractions of the frame
     * @return array{float, float} pixels
     */
    public function at(array $point): array
    {
        [$u, $v] = $point;

        return [
            $this->across[0] * $u + $this->across[1] * $v + $this->across[2],
            $this->down[0] * $u + $this->down[1] * $v + $this->down[2],
        ];
    }

    /**
     * Where a point of an area's outlines lies, its own shift with it.
     *
     * @param  array{float, float}  $point
     * @return array{float, float} pixels
     */
    public function atOf(string $area, array $point): array
    {
        [$x, $y] = $this->at($point);
        [$dx, $dy] = $this->shifts[$area] ?? [0.0, 0.0];

        return [$x + $dx, $y + $dy];
    }

    /** Pixels a mm, the mean of both ways. */
    public function scale(Sculpt $sculpt): float
    {
        [$width, $height] = $sculpt->frameMm ?? [60.0, 80.0];
        $area = abs($this->across[0] * $this->down[1] - $this->across[1] * $this->down[0]);

        return sqrt($area / ($width * $height));
    }
}
