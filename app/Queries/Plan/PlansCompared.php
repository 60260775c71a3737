<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Exceptions\FigureRefused;
use App\Exceptions\PlanRefused;
use App\Http\Resources\Plan\UsedTechnique;
use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Outlook\AreaDifference;
use Ordotype\Core\Planning\Outlook\PlanComparison;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\Aim;
use OutOfBoundsException;

/** A plan beside another: the planner's own, the other aim, another tier, or another unit of the same sculpt. */
final class PlansCompared
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /**
     * @param  string  $with  planner, quickest, best, tier:KEY, unit:ID or piece:NUMBER
     * @return array<string, mixed>
     *
     * @throws FigureRefused
     * @throws PlanRefused when there is no such tier or piece
     */
    public function of(Unit $unit, string $with): array
    {
        $plan = $this->plans->plan($this->units->withPlan($unit));
        [$name, $other] = $this->other($plan, $unit, $with);

        return [
            'with' => $with,
            'name' => $name,
            'minutes' => round($plan->minutesByPasses(), 2),
            'minutes_other' => round($other->minutesByPasses(), 2),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_other' => round($other->work->idleMinutes, 2),
            'short' => self::count($plan, Standing::Short),
            'short_other' => self::count($other, Standing::Short),
            'over' => self::count($plan, Standing::Over),
            'over_other' => self::count($other, Standing::Over),
            'differences' => array_map(self::difference(...), (new PlanComparison($plan, $other))->differences()),
        ];
    }

    /** @return array{string, Plan} what it is called, and it */
    private function other(Plan $plan, Unit $unit, string $with): array
    {
        [$kind, $key] = [...explode(':', $with, 2), ''];
        $request = $this->plans->request($unit);
        if ($kind === 'unit') {
            return $this->otherUnit($unit, (int) $key);
        }
        try {
            return match ($kind) {
                'planner' => ['As the planner has it', $this->planner->plan($request)],
                'quickest' => ['Quickest that passes', $this->planner->withAim($request, Aim::Quickest)],
                'best' => ['Best within the minutes', $this->planner->withAim($request, Aim::Best)],
                'piece' => ["Model $key", $this->plans->unitPlan($unit)->kindOf((int) $key)->plan],
                default => [
                    $request->standard->tier($key)->name,
                    $this->planner->plan($request->at($request->standard->tier($key))->amended([])),
                ],
            };
        } catch (OutOfBoundsException $e) {
            throw PlanRefused::notComparable($e->getMessage());
        }
    }

    /** @return array{string, Plan} */
    private function otherUnit(Unit $unit, int $id): array
    {
        $other = $this->units->find($id);
        if ($other->sculpt_id !== $unit->sculpt_id) {
            throw FigureRefused::otherFigure('/with');
        }
        $plan = $this->plans->plan($other);

        return ["{$other->order->number}, {$plan->request->tier->name}", $plan];
    }

    private static function count(Plan $plan, Standing $state): int
    {
        return count(array_filter($plan->requirements, fn ($r) => $r->state === $state));
    }

    /** @return array<string, mixed> */
    private static function difference(AreaDifference $d): array
    {
        return [
            'area' => $d->area?->key,
            'name' => $d->area->name ?? 'Whole model',
            'only_here' => UsedTechnique::collection($d->onlyOne),
            'only_there' => UsedTechnique::collection($d->onlyOther),
            'minutes' => $d->minutesOne === null ? null : round($d->minutesOne, 2),
            'minutes_other' => $d->minutesOther === null ? null : round($d->minutesOther, 2),
        ];
    }
}
