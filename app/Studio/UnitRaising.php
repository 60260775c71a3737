<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\TierRefused;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Repositories\Standards;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Outlook\RaisedWork;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** What raising a unit to a higher tier takes. */
final class UnitRaising
{
    public function __construct(
        private readonly Releases $releases,
        private readonly AreaSolver $solver,
        private readonly UnitPlans $plans,
        private readonly Standards $standards,
    ) {
    }

    /** What it would take; `stands`: from what every piece has now, else from the finished plan. */
    public function work(Unit $unit, Tier $tier, bool $stands): RaisedWork
    {
        $plan = $this->releases->find($unit)?->plan->plain() ?? $this->plans->plan($unit);
        $done = $stands ? Raising::workSoFar($plan, self::onEveryPiece($unit)) : Raising::workOf($plan);
        $request = $this->plans->request($unit)->at($tier);

        return (new Raising($request, $done, $this->solver))->work();
    }

    public function tier(Unit $unit, string $key): Tier
    {
        $standard = $this->standards->core($unit->order->version);
        if (! $standard->hasTier($key) || $standard->tier($key)->status === TierStatus::Retired) {
            throw TierRefused::noSuchTier($key, '/tier');
        }
        if ($standard->tier($key)->order <= $standard->tier($unit->tier)->order) {
            throw TierRefused::notHigher($standard->tier($key), $standard->tier($unit->tier));
        }

        return $standard->tier($key);
    }

    /** @return list<StepKey> the steps that every piece has had and that stand */
    private static function onEveryPiece(Unit $unit): array
    {
        $common = null;
        foreach ($unit->standing() as $piece) {
            $done = $piece->logs
                ->whereNull('skipped')
                ->whereNull('covered_by')
                ->pluck('step')
                ->map(strval(...))
                ->all();
            $common = $common === null ? $done : array_values(array_intersect($common, $done));
        }

        return array_map(StepKey::kept(...), array_values($common ?? []));
    }
}
