<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;

/** Exposure, the shoulder above 0.8, grain, and light turned to bytes (sRGB, IEC 61966-2-1). */
final readonly class Camera
{
    private const STEPS = 4096;

    private const SHOULDER = 0.8;

    /** @var list<int> */
    private array $bytes;

    /** @var array<int, float> by channel */
    private array $gains;

    /** @param  array{float, float, float}  $cast */
    public function __construct(private int $seed, float $stops = 0.0, array $cast = [1.0, 1.0, 1.0])
    {
        $this->gains = array_map(fn (float $c) => 2 ** $stops * $c, $cast);
        $bytes = [];
        for ($i = 0; $i < self::STEPS; $i++) {
            $light = $i / (self::STEPS - 1);
            $code = $light <= 0.0031308 ? 12.92 * $light : 1.055 * $light ** (1 / 2.4) - 0.055;
            $bytes[] = (int) round(255 * $code);
        }
        $this->bytes = $bytes;
    }

    /**
     * One row as bytes.
     *
     * @param  array<int, float>  $red  linear light
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function row(int $y, array $red, array $green, array $blue): string
    {
        $bytes = $this->bytes;
        [$gr, $gg, $gb] = $this->gains;
        $out = [];
        $start = Dice::hash($this->seed, $y);
        foreach ($red as $x => $r) {
            $die = (($start ^ (($x * 0x2C1B3C6D) & 0xFFFFFFFF)) * 0x297A2D39) & 0xFFFFFFFF;
            $die = (($die ^ ($die >> 15)) * 0x45D9F3B) & 0xFFFFFFFF;
            $die ^= $die >> 13;
            // Two dice: there is less grain in the dark.
            $grain = (($die & 0xFF) + (($die >> 8) & 0xFF) - 255) * 0.00004;
            foreach ([$r * $gr, $green[$x] * $gg, $blue[$x] * $gb] as $light) {
                if ($light > self::SHOULDER) {
                    $light = self::SHOULDER + 0.2 * (1 - exp(-($light - self::SHOULDER) / 0.2));
                }
                $light += $grain * (0.2 + 4 * $light);
                $i = (int) ($light * 4095 + 0.5);
                $out[] = $bytes[$i < 0 ? 0 : ($i > 4095 ? 4095 : $i)];
            }
        }

        return pack('C*', ...$out);
    }
}
