<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Format\Json;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\Unit;
use stdClass;

/** The work a piece still wants: the steps of its released plan, or of its repair, each under a key that stays. */
final class BenchWork
{
    public static function plan(Unit $unit): stdClass
    {
        $plan = $unit->plan === null ? null : Json::decode($unit->plan);

        return $plan instanceof stdClass
            ? $plan
            : throw new Refusal('This unit has not been released to the bench yet.', '', 409);
    }

    /** The key of a step of a released plan. Plans released before steps had keys are read as they were then. */
    public static function key(stdClass $step): string
    {
        return $step->key ??
            ($step->area ?? '*').
                ":$step->technique:".
                ($step->technique === 'masking' ? "no$step->no" : $step->pass);
    }

    /**
     * @return array<string, array{technique: string, area: string|null, minutes: float}> every step the piece must get
     * now
     */
    public static function wanted(Piece $piece): array
    {
        $steps = self::ofUnit($piece->unit);

        return ($piece->steps === null ? $steps : array_intersect_key($steps, array_flip($piece->steps))) +
            self::repairs($piece);
    }

    /**
     * @return array<string, array{technique: string, area: string|null, minutes: float}> every step that some piece of
     * the unit needs
     */
    public static function ofUnit(Unit $unit): array
    {
        $steps = [];
        foreach (self::plan($unit)->steps as $step) {
            $steps[self::key($step)] = [
                'technique' => (string) $step->technique,
                'area' => $step->area,
                'minutes' => (float) $step->minutes,
            ];
        }

        return $steps;
    }

    /**
     * @return array<string, array{technique: string, area: string|null, minutes: float}> what the last check sent back
     */
    public static function repairs(Piece $piece): array
    {
        $check = self::lastClosed($piece);
        $steps = [];
        foreach ($check === null || $check->verdict !== 'rework' ? [] : $check->faults as $fault) {
            foreach (self::repairOf($fault) as $key => $step) {
                $steps[$key] = $step;
            }
        }

        return $steps;
    }

    /** @return array<string, array{technique: string, area: string|null, minutes: float, why: string}> */
    public static function repairOf(FaultRow $fault): array
    {
        $steps = [];
        foreach ($fault->repair as $i => $step) {
            $steps["repair:$fault->id:".($i + 1)] = [
                'technique' => $step['technique'],
                'area' => $step['area'],
                'minutes' => (float) $step['minutes'],
                'why' => $step['why'],
            ];
        }

        return $steps;
    }

    public static function lastClosed(Piece $piece): ?Check
    {
        return $piece->checks()->with('faults')->whereNotNull('closed_at')->orderByDesc('round')->first();
    }
}
