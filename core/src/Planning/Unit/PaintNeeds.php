<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\WellKnown;

/**
 * Millilitres of each paint that a unit takes: a wet film over the painted part of the area, once for each coat of each
 * pass on each piece, and what is lost on the palette; mixes are split by their parts. The figures are common practice,
 * no source.
 */
final class PaintNeeds
{
    /** Ml of a coat on a cm²: a wet film of 0.05 mm, and of 0.02 mm where it is sprayed or a glaze. */
    private const FILM = 0.005;

    private const THIN_FILM = 0.002;

    /** Lost for each ml on the model. */
    private const LOSS = 0.6;

    private const LOSS_SPRAYED = 1.2;

    /** @return list<PaintNeed> the most of a paint first, medium last */
    public static function of(UnitPlan $unit): array
    {
        return self::ofPlans(array_map(fn (PieceKind $k) => [$k->plan, count($k->pieces)], $unit->kinds));
    }

    /**
     * @param  non-empty-list<array{Plan, int}>  $plans  each with how many pieces are painted by it
     * @return list<PaintNeed> the most of a paint first, medium last
     */
    public static function ofPlans(array $plans): array
    {
        $taken = [];
        foreach ($plans as [$plan, $pieces]) {
            foreach ($plan->work->steps as $step) {
                $taken[] = [$step, $plan->request->sculpt, $pieces];
            }
        }

        return self::taken($taken, $plans[0][0]->request->shelf);
    }

    /**
     * What single steps take, such as those of one pass at the bench.
     *
     * @param  list<Step>  $steps
     * @param  int  $pieces  that are painted from one pot
     * @return list<PaintNeed> the most of a paint first, medium last
     */
    public static function ofSteps(array $steps, Sculpt $sculpt, Shelf $shelf, int $pieces): array
    {
        return self::taken(array_map(fn (Step $s) => [$s, $sculpt, $pieces], $steps), $shelf);
    }

    /**
     * @param  list<array{Step, Sculpt, int}>  $taken
     * @return list<PaintNeed>
     */
    private static function taken(array $taken, Shelf $shelf): array
    {
        $ml = [];
        $medium = 0.0;
        foreach ($taken as [$step, $sculpt, $pieces]) {
            if ($step->colour === null) {
                continue;
            }
            $all = $pieces * self::ofStep($step, $sculpt);
            $pot = self::pot($step->colour);
            $whole = array_sum($pot->parts) + $pot->medium;
            foreach ($pot->parts as $paint => $part) {
                $ml[$paint] = ($ml[$paint] ?? 0.0) + ($all * $part) / $whole;
            }
            $medium += ($all * $pot->medium) / $whole;
        }
        arsort($ml);
        $needs = [];
        foreach ($ml as $paint => $amount) {
            $needs[] = self::need((string) $paint, $amount, $shelf);
        }

        return $medium > 0 ? [...$needs, new PaintNeed(null, null, $medium, null)] : $needs;
    }

    /** Ml on one piece. */
    private static function ofStep(Step $step, Sculpt $sculpt): float
    {
        $key = $step->technique->key;
        $sprayed = $step->technique->family === Family::Spray || in_array($key, WellKnown::SPRAYED_UNDERCOATS, true);
        $thin = $sprayed || in_array($key, WellKnown::GLAZES, true);
        $cm2 = $step->area === null ? $sculpt->surfaceCm2 : $sculpt->areaCm2($step->area);

        return $cm2 *
            $step->extent->timeFactor() *
            $step->coats *
            ($thin ? self::THIN_FILM : self::FILM) *
            (1 + ($sprayed ? self::LOSS_SPRAYED : self::LOSS));
    }

    private static function pot(StepColour $colour): Pot
    {
        return match (true) {
            $colour->mix !== null => $colour->mix,
            $colour->mixedWith !== null => Pot::oneToOne(Pot::of($colour->paint), Pot::of($colour->mixedWith)),
            default => Pot::of($colour->paint),
        };
    }

    private static function need(string $paint, float $ml, Shelf $shelf): PaintNeed
    {
        return new PaintNeed($paint, $shelf->colourOf($paint), $ml, $shelf->paint($paint)?->ml);
    }
}
