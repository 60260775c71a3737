<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** How much of each pixel of a patch a stroke covers: thresholds in the painter's light, bands along edges. */
final readonly class Masks
{
    public function __construct(private Patch $patch)
    {
    }

    /** @return array<int, float> */
    public function all(float $share): array
    {
        return $this->patch->count === 0 ? [] : array_fill(0, $this->patch->count, $share);
    }

    /**
     * From a rank upwards: all of it `soft` above, nothing `soft` below.
     *
     * @param  float  $shaken  how far fine noise moves the line
     * @return array<int, float>
     */
    public function above(float $rank, float $soft, float $shaken = 0.0, float $share = 1.0): array
    {
        $over = 1 / max(1e-6, 2 * $soft);
        $out = [];
        foreach ($this->patch->rank as $k => $at) {
            $t = ($at + $shaken * $this->patch->fine[$k] - $rank) * $over + 0.5;
            $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
            $out[] = $share * $t * $t * (3 - 2 * $t);
        }

        return $out;
    }

    /**
     * The more, the further below a rank.
     *
     * @return array<int, float>
     */
    public function gathered(float $rank, float $share, float $power = 1.0): array
    {
        $over = 1 / max(1e-6, $rank);
        $out = [];
        foreach ($this->patch->rank as $at) {
            $t = 1 - $at * $over;
            $out[] = $t <= 0.0 ? 0.0 : $share * ($power === 1.0 ? $t : $t ** $power);
        }

        return $out;
    }

    /**
     * A smooth ramp from one rank to another.
     *
     * @return array<int, float>
     */
    public function ramp(float $from, float $to, float $share): array
    {
        $over = 1 / ($to - $from);
        $out = [];
        foreach ($this->patch->rank as $at) {
            $t = ($at - $from) * $over;
            $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
            $out[] = $share * $t * $t * (3 - 2 * $t);
        }

        return $out;
    }

    /**
     * A ramp from one rank to another that begins gently and ends in a point: as paint is worked into what is there.
     *
     * @param  float  $shaken  how far fine noise moves it
     * @return array<int, float>
     */
    public function slope(float $from, float $to, float $share, float $shaken = 0.0): array
    {
        $over = 1 / ($to - $from);
        $out = [];
        foreach ($this->patch->rank as $k => $at) {
            $t = ($at + $shaken * $this->patch->fine[$k] - $from) * $over;
            $out[] = $t <= 0.0 ? 0.0 : $share * ($t > 1.0 ? 1.0 : $t ** 1.7);
        }

        return $out;
    }

    /**
     * A line inside the edge, where it faces up or down.
     *
     * @param  float  $from  mm inside the edge at which it begins
     * @param  float  $wide  mm
     * @param  float  $facing  −1 where rims face up, 1 where they face down, 0 all round
     * @param  float  $least  how steeply they must face that way
     * @param  float  $waver  share of the width by which the hand wavers
     * @return array<int, float>
     */
    public function edge(float $from, float $wide, float $facing, float $least = 0.18, float $waver = 0.2): array
    {
        $soft = 1 / max(0.02, 0.7 / $this->patch->form->scale);
        $out = [];
        foreach ($this->patch->edge as $k => $d) {
            if ($d > $from + 1.6 * $wide + 0.1) {
                $out[] = 0.0;

                continue;
            }
            $turn = $facing * $this->patch->ny[$k];
            $w = $facing === 0.0 ? 1.0 : ($turn - $least) * 6 + 0.5;
            if ($w <= 0.0) {
                $out[] = 0.0;

                continue;
            }
            $width = $wide * (1 + $waver * $this->patch->fine[$k]);
            $in = ($d - $from) * $soft + 0.5;
            $off = ($from + $width - $d) * $soft + 0.5;
            $a = min($in > 1.0 ? 1.0 : $in, $off > 1.0 ? 1.0 : $off, $w > 1.0 ? 1.0 : $w);
            $out[] = $a < 0.0 ? 0.0 : $a;
        }

        return $out;
    }

    /**
     * Spots where fine noise is strong.
     *
     * @param  float  $waves  a mm
     * @return array<int, float>
     */
    public function spots(Noise $noise, float $waves, float $from, float $soft, float $stretch = 1.0): array
    {
        $out = [];
        foreach ($this->patch->x as $k => $x) {
            $t = ($noise->at($x * $waves, $this->patch->y[$k] * $waves * $stretch) - $from) / $soft;
            $out[] = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
        }

        return $out;
    }

    /**
     * A disc.
     *
     * @param  float  $cx  mm in the frame
     * @param  float  $radius  mm
     * @return array<int, float>
     */
    public function disc(float $cx, float $cy, float $radius, float $soft = 0.04): array
    {
        $out = [];
        foreach ($this->patch->x as $k => $x) {
            $d = sqrt(($x - $cx) * ($x - $cx) + ($this->patch->y[$k] - $cy) * ($this->patch->y[$k] - $cy));
            $t = ($radius - $d) / max(1e-6, $soft) + 0.5;
            $out[] = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
        }

        return $out;
    }

    /**
     * Two masks at once.
     *
     * @param  array<int, float>  $one
     * @param  array<int, float>  $other
     * @return array<int, float>
     */
    public static function both(array $one, array $other): array
    {
        return array_map(fn (float $a, float $b) => $a * $b, $one, $other);
    }
}
