<?php

declare(strict_types=1);

namespace Ordotype\Core\Booth;

/** Exposure, the shoulder above 0.8, grain, and light turned to bytes (sRGB, IEC 61966-2-1). */
final readonly class Camera
{
    private const STEPS = 4096;

    private const SHOULDER = 0.8;

    /** @var list<int> */
    private array $bytes;

    public function __construct(private int $seed, private float $exposure = 1.0)
    {
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
        $out = [];
        $start = Dice::hash($this->seed, $y);
        foreach ($red as $x => $r) {
            $die = (($start ^ (($x * 0x2C1B3C6D) & 0xFFFFFFFF)) * 0x297A2D39) & 0xFFFFFFFF;
            $die = (($die ^ ($die >> 15)) * 0x45D9F3B) & 0xFFFFFFFF;
            $die ^= $die >> 13;
            // Two dice: grain is smallest in the dark.
            $grain = (($die & 0xFF) + (($die >> 8) & 0xFF) - 255) * 0.00004;
            foreach ([$r, $green[$x], $blue[$x]] as $light) {
                $light = $light * $this->exposure;
                if ($light > self::SHOULDER) {
                    $light = self::SHOULDER + 0.2 * (1 - exp(-($light - self::SHOULDER) / 0.2));
                }
                $light += $grain * (1 + 3 * $light);
                $i = (int) ($light * 4095 + 0.5);
                $out[] = $bytes[$i < 0 ? 0 : ($i > 4095 ? 4095 : $i)];
            }
        }

        return pack('C*', ...$out);
    }
}
