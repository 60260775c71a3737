<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Bench\RaiseUnit;
use App\Http\Requests\Bench\RaiseAsked;
use App\Http\Requests\Bench\RaiseWanted;
use App\Http\Requests\Photographs\DrawingAsked;
use App\Http\Requests\Plan\PlanBeside;
use App\Models\Unit;
use App\Queries\Photographs\UnitDrawn;
use App\Queries\Plan\PaintsOfUnit;
use App\Queries\Plan\PlansCompared;
use App\Queries\Plan\PlanShown;
use App\Queries\Plan\RaiseShown;
use App\Queries\Plan\SprayShown;
use App\Queries\Plan\StopsShown;
use Illuminate\Http\JsonResponse;

/**
 * What could become of a unit, told before anything is done: raised to a tier, stopped on the way, sprayed or
 * brushed, beside another plan, and the paint it takes.
 */
final class OutlookController
{
    public function raise(RaiseAsked $given, Unit $unit, RaiseShown $raise): JsonResponse
    {
        return new JsonResponse($raise->of($unit, $given->tier(), $given->stands()));
    }

    public function doRaise(RaiseWanted $given, Unit $unit, RaiseUnit $raise, PlanShown $shown): JsonResponse
    {
        $unit = $raise($unit, $given->tier(), $given->stands(), $given->revision());

        return new JsonResponse($shown->of($unit, $given->person()));
    }

    public function stops(Unit $unit, StopsShown $stops): JsonResponse
    {
        return new JsonResponse($stops->of($unit));
    }

    public function spraying(Unit $unit, SprayShown $spraying): JsonResponse
    {
        return new JsonResponse($spraying->of($unit));
    }

    public function paints(Unit $unit, PaintsOfUnit $paints): JsonResponse
    {
        return new JsonResponse($paints->of($unit));
    }

    public function drawn(DrawingAsked $given, Unit $unit, UnitDrawn $drawn): JsonResponse
    {
        return new JsonResponse($drawn->of($unit, $given->piece(), $given->passes()));
    }

    public function compare(PlanBeside $given, Unit $unit, PlansCompared $compared): JsonResponse
    {
        return new JsonResponse($compared->of($unit, $given->with()));
    }
}
