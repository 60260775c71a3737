<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\PlanUnit;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Orders\ReleaseToBench;
use App\Http\Requests\Plan\PieceOfPlan;
use App\Http\Requests\Plan\PlanEdits;
use App\Models\Unit;
use App\Queries\Plan\PlanShown;
use App\Repositories\Units;
use Illuminate\Http\JsonResponse;

/** The plan of a unit: shown, changed by hand, released to the bench and taken back from it. */
final class PlanController
{
    public function __construct(private readonly PlanUnit $plan, private readonly PlanShown $shown)
    {
    }

    public function show(PieceOfPlan $given, Unit $unit, Units $units): JsonResponse
    {
        return new JsonResponse($this->shown->of($unit, $given->person(), $units->piece($unit, $given->piece())));
    }

    public function edit(PlanEdits $given, Unit $unit, Units $units): JsonResponse
    {
        $piece = $units->piece($unit, $given->piece());
        $unit = $this->plan->edit($unit, $given->edits(), $given->revision(), $piece);

        return new JsonResponse($this->shown->of($unit, $given->person(), $piece));
    }

    public function release(ReleaseToBench $given, Unit $unit): JsonResponse
    {
        $unit = $this->plan->release($unit, $given->revision(), $given->despite());

        return new JsonResponse($this->shown->of($unit, $given->person()));
    }

    public function takeBack(OldRevision $given, Unit $unit): JsonResponse
    {
        $unit = $this->plan->takeBack($unit, $given->revision());

        return new JsonResponse($this->shown->of($unit, $given->person()));
    }
}
