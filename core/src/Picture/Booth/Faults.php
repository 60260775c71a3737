<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Foundation\Dice;

/** Puts planted faults on a patch that is painted. */
final readonly class Faults
{
    /** Those that have a mark of their own; the others are said in words, never shown as something else. */
    public const DRAWN = [
        'bare_primer',
        'overspill',
        'tide_mark',
        'pooling',
        'dusty_drybrush',
        'wobbly_line',
        'broken_line',
        'wide_line',
        'hard_step',
        'flat_area',
        'light_from_below',
        'colour_drift',
        'decal_missing',
        'frosted_varnish',
        'rub_through',
        'mould_line',
        'eyes_uneven',
        'rim_untidy',
        'patchy_cover',
        'too_dark_or_bright',
        'fingerprint',
        'missing_technique',
    ];

    private Masks $masks;

    public function __construct(
        private Patch $patch,
        private Colour $base,
        private Colour $beside,
        private int $seed,
    ) {
        $this->masks = new Masks($patch);
    }

    /**
     * What is not done because of a fault.
     *
     * @param  array<string, float|null>  $spoilt
     */
    public static function leavesOut(array $spoilt, Mark $mark): bool
    {
        return ($mark->isDecal() && array_key_exists('decal_missing', $spoilt)) ||
            ($mark->givesForm() && array_key_exists('flat_area', $spoilt)) ||
            ($mark->isLight() && array_key_exists('missing_technique', $spoilt));
    }

    /** @param  array<string, float|null>  $spoilt  sizes by key */
    public function put(array $spoilt): void
    {
        foreach ($spoilt as $key => $size) {
            match ($key) {
                'bare_primer', 'rub_through' => $this->bare($size ?? 1.2),
                'overspill' => $this->overspill($size ?? 1.2),
                'tide_mark' => $this->tide($size ?? 2.4),
                'pooling' => $this->pool($size ?? 2.0),
                'dusty_drybrush' => $this->dust(),
                'hard_step' => $this->step(),
                'colour_drift' => $this->drift($size ?? 5.0),
                'frosted_varnish' => $this->frost(),
                'mould_line' => $this->mould(),
                'rim_untidy' => $this->smear(),
                'patchy_cover' => $this->patchy(),
                'too_dark_or_bright' => $this->brighter(),
                'fingerprint' => $this->finger($size ?? 4.0),
                default => null,
            };
        }
    }

    /**
     * A place well within the patch.
     *
     * @return array{float, float}
     */
    private function place(float $size): array
    {
        $dice = new Dice($this->seed);
        $best = 0;
        for ($n = 0; $n < 60 && $this->patch->count > 0; $n++) {
            $k = $dice->roll() % $this->patch->count;
            if ($this->patch->edge[$k] > $this->patch->edge[$best]) {
                $best = $k;
            }
            if ($this->patch->edge[$k] > 0.6 * $size) {
                $best = $k;
                break;
            }
        }

        return [$this->patch->x[$best] ?? 0.0, $this->patch->y[$best] ?? 0.0];
    }

    /**
     * A spot that no pair of compasses drew.
     *
     * @param  float  $size  mm across
     * @return array<int, float>
     */
    private function blot(float $x, float $y, float $size, float $soft = 0.06): array
    {
        $noise = new Noise($this->seed + 3);
        $out = [];
        foreach ($this->patch->x as $k => $px) {
            $dy = $this->patch->y[$k] - $y;
            $ragged = 0.5 * $size * (1 + 0.35 * $noise->at($px * 2.2 / $size, $dy * 2.2 / $size));
            $t = ($ragged - hypot($px - $x, $dy)) / $soft + 0.5;
            $out[] = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
        }

        return $out;
    }

    private function bare(float $size): void
    {
        [$x, $y] = $this->place($size);
        $how = $this->blot($x, $y, $size);
        $this->patch->paint(Colour::hex(Patch::UNDERCOAT), $how);
        $this->patch->flakes($how, 0.0);
        foreach ($how as $k => $a) {
            $this->patch->bare[$k] = max($this->patch->bare[$k], $a);
        }
    }

    private function overspill(float $size): void
    {
        $dice = new Dice($this->seed + 1);
        $k = 0;
        for ($n = 0; $n < 200 && $this->patch->count > 0; $n++) {
            $k = $dice->roll() % $this->patch->count;
            if ($this->patch->edge[$k] < 0.25) {
                break;
            }
        }
        $how = $this->blot($this->patch->x[$k] ?? 0.0, $this->patch->y[$k] ?? 0.0, $size);
        $this->patch->paint($this->beside, $how);
        $this->patch->flakes($how, 0.0);
    }

    private function tide(float $size): void
    {
        [$x, $y] = $this->place($size);
        $outer = $this->blot($x, $y, $size, 0.05);
        $inner = $this->blot($x, $y, 0.86 * $size, 0.3);
        $this->patch->paint(
            $this->base->times(0.22),
            array_map(fn (float $o, float $i) => 0.8 * max(0.0, $o - $i), $outer, $inner),
        );
    }

    private function pool(float $size): void
    {
        [$x, $y] = $this->place($size);
        $this->patch->paint(
            $this->base->times(0.14),
            array_map(fn (float $a) => 0.8 * $a, $this->blot($x, $y, $size, 0.7)),
        );
    }

    private function dust(): void
    {
        $spots = $this->masks->spots(new Noise($this->seed + 5), 9.0, 0.12, 0.2);
        $this->patch->paint(
            $this->base->times(2.0)->towards(new Colour(0.85, 0.83, 0.78), 0.6),
            Masks::both($spots, $this->masks->above(0.45, 0.3, 0.2, 0.85)),
        );
    }

    /** A layer with nothing between it and the base. */
    private function step(): void
    {
        $this->patch->paint(
            $this->base->times(1.8)->towards(new Colour(0.9, 0.88, 0.82), 0.35),
            $this->masks->above(0.66, 0.004, 0.0),
        );
    }

    /** Another red and blue, so far that the base differs by ΔE00 of the size (found by halving). */
    private function drift(float $delta): void
    {
        $lab = fn (Colour $any) => Srgb::fromLinear(min(1.0, $any->r), min(1.0, $any->g), min(1.0, $any->b))->lab();
        $own = $lab($this->base);
        $c = $this->base;
        $shifted = fn (float $k): Colour => new Colour($c->r * (1 + $k), $c->g, $c->b * (1 - $k));
        [$low, $high] = [0.0, 0.95];
        for ($n = 0; $n < 24; $n++) {
            $middle = ($low + $high) / 2;
            if ($own->deltaE00($lab($shifted($middle))) < $delta) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        foreach ($this->patch->r as $k => $_) {
            $this->patch->r[$k] *= 1 + $low;
            $this->patch->b[$k] *= 1 - $low;
        }
    }

    private function frost(): void
    {
        $spots = $this->masks->spots(new Noise($this->seed + 7), 0.45, -0.9, 1.4);
        $this->patch->paint(new Colour(0.72, 0.73, 0.74), array_map(fn (float $a) => 0.38 * $a, $spots));
    }

    /** The seam of the mould, from top to bottom beside the middle. */
    private function mould(): void
    {
        $n = max(1, $this->patch->count);
        $middle = array_sum($this->patch->x) / $n + 0.4;
        $light = $dark = [];
        foreach ($this->patch->x as $k => $x) {
            $u = $x - $middle - 0.05 * sin($this->patch->y[$k] * 0.9);
            $light[] = abs($u + 0.07) < 0.07 ? 0.6 : 0.0;
            $dark[] = abs($u - 0.09) < 0.08 ? 0.75 : 0.0;
        }
        $this->patch->paint($this->base->times(0.2), $dark);
        $this->patch->paint($this->base->times(1.9)->towards(new Colour(0.8, 0.8, 0.78), 0.2), $light);
    }

    private function smear(): void
    {
        $noise = new Noise($this->seed + 9);
        $how = [];
        foreach ($this->patch->edge as $k => $d) {
            $how[] = $d < 0.5 + 0.7 * $noise->at($this->patch->x[$k] * 0.7, 1.5) ? 0.9 : 0.0;
        }
        $this->patch->paint(Colour::hex('#8a7759'), $how);
    }

    private function patchy(): void
    {
        $spots = $this->masks->spots(new Noise($this->seed + 11), 0.5, 0.0, 0.5);
        $this->patch->paint(Colour::hex(Patch::UNDERCOAT), array_map(fn (float $a) => 0.4 * $a, $spots));
    }

    private function brighter(): void
    {
        foreach ($this->patch->r as $k => $_) {
            $this->patch->r[$k] *= 1.7;
            $this->patch->g[$k] *= 1.7;
            $this->patch->b[$k] *= 1.7;
        }
    }

    private function finger(float $size): void
    {
        [$x, $y] = $this->place($size);
        $how = [];
        foreach ($this->blot($x, $y, $size, 0.8) as $k => $a) {
            $away = hypot($this->patch->x[$k] - $x, 1.3 * ($this->patch->y[$k] - $y));
            $ridge = 0.5 + 0.5 * sin((2 * M_PI * $away) / 0.45);
            $this->patch->gloss[$k] = max($this->patch->gloss[$k], 0.7 * $a * $ridge);
            $how[] = 0.25 * $a * $ridge;
        }
        $this->patch->paint($this->base->times(0.5), $how);
    }
}
