<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Sculpt\Rank;

/** Tufts of grass on the ground: blades that stand up over what lies behind them. */
final readonly class Plants
{
    /** @param  list<Coat>  $done */
    public function __construct(private SculptForm $form, private array $done, private int $seed)
    {
    }

    /**
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function grow(array &$red, array &$green, array &$blue): void
    {
        $planted = array_filter($this->done, fn (Coat $c) => $c->mark === Mark::Tufts);
        if ($planted === []) {
            return;
        }
        $dice = new Dice(Dice::hash($this->seed, 71));
        $scale = $this->form->scale;
        foreach ($this->form->rings as $ring) {
            if ($ring->area->rank !== Rank::Ground || $ring->area->material->value === 'rim') {
                continue;
            }
            $tufts = max(3, (int) round($ring->width / $scale / 6));
            for ($t = 0; $t < $tufts; $t++) {
                $u = ($t + $dice->between(0.15, 0.85)) / $tufts;
                $cx = $ring->left - $this->form->left + $u * $ring->width;
                $cy = $ring->top - $this->form->top + $ring->height * $dice->between(0.45, 0.8);
                $this->tuft($dice, $cx, $cy, $red, $green, $blue);
            }
        }
    }

    /**
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    private function tuft(Dice $dice, float $cx, float $cy, array &$red, array &$green, array &$blue): void
    {
        $scale = $this->form->scale;
        for ($blade = 0; $blade < 34; $blade++) {
            $x = $cx + $dice->between(-1.15, 1.15) * $scale;
            $y = $cy + $dice->between(-0.15, 0.25) * $scale;
            $tall = $dice->between(0.8, 2.3) * $scale;
            $lean = $dice->between(-0.55, 0.55);
            $shade = $dice->between(0.55, 1.25);
            $steps = max(2, (int) $tall);
            for ($k = 0; $k < $steps; $k++) {
                $t = $k / $steps;
                $px = (int) round($x + $lean * $t * $t * $tall);
                $py = (int) round($y - $t * $tall);
                if ($px < 0 || $py < 0 || $px >= $this->form->width || $py >= $this->form->height) {
                    continue;
                }
                $light = $shade * (0.35 + 0.75 * $t);
                $i = $py * $this->form->width + $px;
                $red[$i] = 0.16 * $light;
                $green[$i] = 0.17 * $light;
                $blue[$i] = 0.055 * $light;
                if ($t < 0.6 && $scale > 12 && $px + 1 < $this->form->width) {
                    $red[$i + 1] = 0.12 * $light;
                    $green[$i + 1] = 0.13 * $light;
                    $blue[$i + 1] = 0.045 * $light;
                }
            }
        }
    }
}
