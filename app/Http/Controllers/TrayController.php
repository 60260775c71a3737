<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CheckTray;
use App\Http\Requests\NothingSent;
use App\Http\Requests\TrayAnswered;
use App\Models\Unit;
use App\Queries\TrayShown;
use Illuminate\Http\JsonResponse;

/** One look over the whole batch. */
final class TrayController
{
    public function __construct(private readonly TrayShown $shown, private readonly CheckTray $tray)
    {
    }

    public function show(NothingSent $given, Unit $unit): JsonResponse
    {
        return new JsonResponse($this->shown->of($unit, $given->person()));
    }

    public function answer(TrayAnswered $given, Unit $unit): JsonResponse
    {
        $person = $given->person();
        $left = $this->tray->answer(
            $unit,
            $person,
            $given->look(),
            $given->answer(),
            $given->note(),
            $given->leftOut(),
        );

        return new JsonResponse($this->shown->of($unit->refresh(), $person, $left));
    }

    public function pass(NothingSent $given, Unit $unit): JsonResponse
    {
        $left = $this->tray->pass($unit, $given->person());

        return new JsonResponse($this->shown->of($unit->refresh(), $given->person(), $left));
    }
}
