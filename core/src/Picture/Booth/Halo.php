<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** The light that something glowing throws on what is near it. */
final readonly class Halo
{
    /** Mm over which it falls off. */
    private const REACH = 5.5;

    private function __construct(private float $x, private float $y, private float $radius, private Colour $colour)
    {
    }

    public static function of(Patch $patch): self
    {
        $n = $patch->count;

        return new self(
            array_sum($patch->x) / $n,
            array_sum($patch->y) / $n,
            sqrt($n / M_PI) / $patch->form->scale,
            $patch->mean(),
        );
    }

    /**
     * @param  array<int, float>  $red
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function fall(SculptForm $form, array &$red, array &$green, array &$blue): void
    {
        $reach = ($this->radius + self::REACH) * $form->scale;
        $cx = $this->x * $form->scale - $form->left;
        $cy = $this->y * $form->scale - $form->top;
        for ($y = max(0, (int) ($cy - $reach)); $y < min($form->height, (int) ($cy + $reach)); $y++) {
            for ($x = max(0, (int) ($cx - $reach)); $x < min($form->width, (int) ($cx + $reach)); $x++) {
                $i = $y * $form->width + $x;
                if ($form->seen[$i] < 0) {
                    continue;
                }
                $d = hypot($x - $cx, $y - $cy) / $form->scale - $this->radius;
                if ($d > 0.0 && $d < self::REACH) {
                    $w = 0.55 * (1 - $d / self::REACH) ** 2;
                    $red[$i] += $w * $this->colour->r * (0.25 + $red[$i]);
                    $green[$i] += $w * $this->colour->g * (0.25 + $green[$i]);
                    $blue[$i] += $w * $this->colour->b * (0.25 + $blue[$i]);
                }
            }
        }
    }
}
