<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Sculpt\Area;

/** Whether the edges of a picture lie where the outlines say, and how sharp they are. */
final readonly class Edges
{
    private const EVERY = 0.5;

    /** Mm to either side of the line. */
    private const REACH = 1.2;

    /** L* that the two sides differ at the least to be an edge. */
    private const LEAST = 12.0;

    private const LEAST_EDGES = 12;

    /** Mm that an edge may lie beside its line. */
    private const BESIDE = 0.6;

    /** Mm over which an edge may rise; a small picture has no edge that rises over fewer pixels than these. */
    private const SOFT = 0.4;

    private const SHARPEST = 5.0;

    public function __construct(private Layout $layout, private Pixels $pixels)
    {
    }

    /** What is wrong with the picture at an area; null where nothing is, or too little can be seen to say. */
    public function wrong(Area $area): ?Unmeasured
    {
        $beside = $rises = [];
        foreach (Walk::round($this->layout, $area, self::EVERY) as [, $at, $normal]) {
            $edge = $this->edge($at, $normal);
            if ($edge !== null) {
                [$beside[], $rises[]] = $edge;
            }
        }
        if (count($beside) < self::LEAST_EDGES) {
            return null;
        }
        sort($beside);
        sort($rises);
        $middle = intdiv(count($beside), 2);

        return match (true) {
            $beside[$middle] > self::BESIDE => Unmeasured::Moved,
            $rises[$middle] > max(self::SOFT, self::SHARPEST / $this->layout->scale) => Unmeasured::Blurred,
            default => null,
        };
    }

    /**
     * @param  array{float, float}  $at
     * @param  array{float, float}  $normal
     * @return array{float, float}|null mm beside the line, and mm over which it rises; null where there is no edge
     */
    private function edge(array $at, array $normal): ?array
    {
        $scale = $this->layout->scale;
        $half = (int) ceil(self::REACH * $scale);
        $lights = [];
        for ($k = -$half; $k <= $half; $k++) {
            $x = (int) floor($at[0] + $k * $normal[0]);
            $y = (int) floor($at[1] + $k * $normal[1]);
            if ($x < 0 || $y < 0 || $x >= $this->pixels->width() || $y >= $this->pixels->height()) {
                return null;
            }
            $lights[] = Light::lightness(Light::luminanceOf($this->pixels->run($y, $x, $x)[0] ?? 0));
        }
        [$steepest, $where] = [0.0, 0];
        for ($k = 2; $k + 2 < count($lights); $k++) {
            $slope = abs($lights[$k + 1] - $lights[$k - 1]) / 2;
            if ($slope > $steepest) {
                [$steepest, $where] = [$slope, $k];
            }
        }
        $step = max([0.0, ...$lights]) - min([100.0, ...$lights]);

        return $step < self::LEAST || $steepest <= 0.0
            ? null
            : [abs($where - $half) / $scale, (0.8 * $step) / $steepest / $scale];
    }
}
