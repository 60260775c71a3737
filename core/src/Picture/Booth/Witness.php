<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Gathers the truth of a drawing while it is drawn. */
final class Witness
{
    /** One pixel of so many is kept. */
    private const EVERY = 11;

    /** Mm along borders that are left out. */
    private const MARGIN = 0.1;

    /** @var array<string, int> by area */
    private array $pixels = [];

    /** @var array<string, float> */
    private array $bare = [];

    /** @var array<string, list<array{float, float, float}>> what some pixels of each area send, in linear light */
    private array $light = [];

    /** @var array<string, array<int, int>> pixels by half L* */
    private array $lightness = [];

    /**
     * @param  array<int, float>  $red  what each pixel of the form's box sends
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function see(Patch $patch, array $red, array $green, array $blue): void
    {
        $key = $patch->ring->area->key;
        $bins = $this->lightness[$key] ?? array_fill(0, 2 * 120, 0);
        foreach ($patch->at as $k => $i) {
            if ($patch->edge[$k] <= self::MARGIN) {
                continue;
            }
            $y = 0.2126 * $red[$i] + 0.7152 * $green[$i] + 0.0722 * $blue[$i];
            // CIE 15.
            $l = $y > 216 / 24389 ? 116 * $y ** (1 / 3) - 16 : (24389 / 27) * $y;
            $bins[(int) min(239.0, 2 * $l + 0.5)]++;
            if ($i % self::EVERY === 0) {
                $this->light[$key][] = [$red[$i], $green[$i], $blue[$i]];
            }
        }
        $this->lightness[$key] = $bins;
        $this->pixels[$key] = ($this->pixels[$key] ?? 0) + $patch->count;
        $this->bare[$key] = ($this->bare[$key] ?? 0.0) + array_sum($patch->bare);
    }

    public function truth(): BoothTruth
    {
        $bare = [];
        foreach ($this->pixels as $key => $n) {
            $bare[$key] = $this->bare[$key] / $n;
        }

        return new BoothTruth($this->pixels, $bare, $this->light, $this->lightness);
    }
}
