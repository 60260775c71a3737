<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;

/** Which colours of a photograph are bare undercoat, whatever the light on it. */
final readonly class Bare
{
    /** Nearer than this to the undercoat's shades it is bare, ΔE (CIE 1976). */
    private const NEAR = 8.0;

    /** And so much nearer than to any paint. */
    private const NEARER = 4.0;

    /** Curves that come nearer than this cannot be told apart. */
    private const APART = 9.0;

    /** Light on the undercoat, and on paint. */
    private const FROM = 0.25;

    private const FROM_PAINT = 0.12;

    private const TO = 1.4;

    private const STEPS = 20;

    /** @var list<Lab> */
    private array $undercoat;

    /** @var list<Lab> */
    private array $paints;

    /** @param  list<Srgb>  $colours  of the area, mixtures of two of them in quarters come along */
    public function __construct(Srgb $undercoat, array $colours)
    {
        $this->undercoat = self::shades($undercoat->linear(), self::FROM);
        $paints = [];
        foreach ($colours as $i => $one) {
            array_push($paints, ...self::shades($one->linear(), self::FROM_PAINT));
            foreach (array_slice($colours, $i + 1) as $other) {
                foreach ([0.25, 0.5, 0.75] as $share) {
                    $mixed = array_map(
                        fn (float $a, float $b) => $a + $share * ($b - $a),
                        $one->linear(),
                        $other->linear(),
                    );
                    array_push($paints, ...self::shades($mixed, self::FROM_PAINT));
                }
            }
        }
        $this->paints = $paints;
    }

    /**
     * @param  array<int, float>  $linear
     * @return list<Lab>
     */
    private static function shades(array $linear, float $from): array
    {
        $shades = [];
        for ($k = 0; $k <= self::STEPS; $k++) {
            $light = $from * (self::TO / $from) ** ($k / self::STEPS);
            [$r, $g, $b] = array_map(fn (float $c) => min(1.0, $c * $light), array_values($linear));
            $shades[] = Light::lab($r, $g, $b);
        }

        return $shades;
    }

    /** Whether undercoat and paint can be told apart at all. */
    public function canBeTold(): bool
    {
        foreach ($this->undercoat as $one) {
            if (self::nearest($one, $this->paints) < self::APART) {
                return false;
            }
        }

        return true;
    }

    public function isBare(Lab $lab): bool
    {
        $near = self::nearest($lab, $this->undercoat);

        return $near < self::NEAR && self::nearest($lab, $this->paints) >= $near + self::NEARER;
    }

    /** @param  list<Lab>  $curve */
    private static function nearest(Lab $lab, array $curve): float
    {
        $least = INF;
        foreach ($curve as $point) {
            $d = ($lab->l - $point->l) ** 2 + ($lab->a - $point->a) ** 2 + ($lab->b - $point->b) ** 2;
            $least = $d < $least ? $d : $least;
        }

        return sqrt($least);
    }
}
