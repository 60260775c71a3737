<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Models\LotRow;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use App\Studio\Lots;
use Ordotype\Core\Inspection\Lot;
use Ordotype\Core\Inspection\Sampling;
use Ordotype\Core\Inspection\SamplingPlan;

/** The sample of a unit: what would be drawn or was, and how well it tells good units from bad ones. */
final class LotShown
{
    /** Shares of truly bad models for which the chance is told, percent. */
    private const SHARES = [2, 5, 10, 20, 30, 50];

    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit, User $user): array
    {
        $clause = $this->releases->of($unit)->acceptance();
        $row = LotRow::query()->where('unit_id', $unit->id)->latest('id')->first();
        $offered = Lots::offered($unit);
        $isTightened = $row->is_tightened ?? Lots::isTightened(Lots::painter($unit));
        $lot = $row?->lot() ?? ($clause === null ? null : Lot::of($clause, $offered, 0, $isTightened));

        return [
            'is_sampled' => $clause?->sampled === true,
            'size' => $lot->size ?? count($offered),
            'is_tightened' => $isTightened,
            'plans' => $lot === null ? [] : array_map(
                fn (string $severity, SamplingPlan $p) => [
                    'severity' => $severity,
                    'n' => $p->n,
                    'accepts' => $p->accepts,
                    'curve' => self::curve($lot->size, $p),
                ],
                array_keys($lot->plans),
                array_values($lot->plans),
            ),
            'drawn' => $row?->drawn,
            'seed' => $row?->seed,
            'verdict' => $row?->verdict,
            'may_draw' => $row === null && $lot !== null && Rights::has($user, 'check.answer'),
        ];
    }

    /** @return list<array{bad: int, share: int, accepted: float}> the chance in percent that it is accepted */
    private static function curve(int $size, SamplingPlan $plan): array
    {
        $points = [];
        foreach (self::SHARES as $share) {
            $bad = (int) round(($share * $size) / 100);
            $points[] = [
                'bad' => $bad,
                'share' => $share,
                'accepted' => round(100 * Sampling::chance($size, $plan->n, $plan->accepts, $bad), 1),
            ];
        }

        return $points;
    }
}
