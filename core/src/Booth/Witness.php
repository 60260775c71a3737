<?php

declare(strict_types=1);

namespace Ordotype\Core\Booth;

/** Gathers the truth of a drawing while it is drawn. */
final class Witness
{
    /** @var array<string, int> by area */
    private array $pixels = [];

    /** @var array<string, float> */
    private array $bare = [];

    /** @var array<string, array{float, float, float}> */
    private array $light = [];

    /**
     * @param  array<int, float>  $red  what each pixel of the form's box sends
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function see(Patch $patch, array $red, array $green, array $blue): void
    {
        $key = $patch->ring->area->key;
        [$r, $g, $b] = $this->light[$key] ?? [0.0, 0.0, 0.0];
        foreach ($patch->at as $i) {
            $r += $red[$i];
            $g += $green[$i];
            $b += $blue[$i];
        }
        $this->light[$key] = [$r, $g, $b];
        $this->pixels[$key] = ($this->pixels[$key] ?? 0) + $patch->count;
        $this->bare[$key] = ($this->bare[$key] ?? 0.0) + array_sum($patch->bare);
    }

    public function truth(): BoothTruth
    {
        $bare = $light = [];
        foreach ($this->pixels as $key => $n) {
            [$r, $g, $b] = $this->light[$key];
            $bare[$key] = $this->bare[$key] / $n;
            $light[$key] = [$r / $n, $g / $n, $b / $n];
        }

        return new BoothTruth($this->pixels, $bare, $light);
    }
}
