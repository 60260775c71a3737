<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RaiseUnit;
use App\Http\Requests\DrawingAsked;
use App\Http\Requests\PlanBeside;
use App\Http\Requests\RaiseAsked;
use App\Http\Requests\RaiseWanted;
use App\Models\Unit;
use App\Queries\PaintsOfUnit;
use App\Queries\PlansCompared;
use App\Queries\PlanShown;
use App\Queries\RaiseShown;
use App\Queries\SprayShown;
use App\Queries\StopsShown;
use App\Queries\UnitDrawn;
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
