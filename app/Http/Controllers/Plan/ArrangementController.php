<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\ArrangeUnit;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Orders\MinutesWanted;
use App\Http\Requests\Plan\MethodOfUnit;
use App\Http\Requests\Plan\NewAmendment;
use App\Http\Requests\Plan\TierOfUnit;
use App\Models\Unit;
use App\Queries\Orders\MinutesForUnit;
use App\Queries\Orders\TiersForUnit;
use App\Queries\Plan\PlanShown;
use App\Queries\Plan\SchoolsOfUnit;
use App\Repositories\Units;
use Illuminate\Http\JsonResponse;

/** What could be arranged for a unit, each with its consequence before it is done. */
final class ArrangementController
{
    public function __construct(private readonly ArrangeUnit $arrange, private readonly PlanShown $shown)
    {
    }

    public function schools(Unit $unit, SchoolsOfUnit $schools): JsonResponse
    {
        return new JsonResponse($schools->of($unit));
    }

    public function tiers(Unit $unit, TiersForUnit $tiers): JsonResponse
    {
        return new JsonResponse($tiers->of($unit));
    }

    public function aims(Unit $unit, MinutesForUnit $minutes): JsonResponse
    {
        return new JsonResponse($minutes->ofAims($unit));
    }

    public function spare(MinutesWanted $given, Unit $unit, MinutesForUnit $minutes): JsonResponse
    {
        return new JsonResponse($minutes->of($unit, $given->minutes()));
    }

    public function amend(NewAmendment $given, Unit $unit, Units $units): JsonResponse
    {
        $piece = $units->piece($unit, $given->piece());
        $unit = $this->arrange->amend($unit, $given->amendment(), $given->revision(), $piece);

        return new JsonResponse($this->shown->of($unit, $given->person(), $piece));
    }

    public function unamend(OldRevision $given, Unit $unit, int $amendment): JsonResponse
    {
        $unit = $this->arrange->unamend($unit, $amendment, $given->revision());

        return new JsonResponse($this->shown->of($unit, $given->person()));
    }

    public function move(TierOfUnit $given, Unit $unit): JsonResponse
    {
        [$unit, $gone] = $this->arrange->move($unit, $given->tier(), $given->revision());

        return new JsonResponse(['unit' => $unit->id, 'revision' => $unit->revision, 'edits_gone' => $gone]);
    }

    public function method(MethodOfUnit $given, Unit $unit): JsonResponse
    {
        $unit = $this->arrange->method($unit, $given->schools(), $given->revision(), $given->orderRevision());

        return new JsonResponse($this->shown->of($unit, $given->person()));
    }
}
