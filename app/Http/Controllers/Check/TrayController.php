<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Bench\AnswerGates;
use App\Actions\Bench\JudgeTestModel;
use App\Actions\Bench\RecolourUnit;
use App\Actions\Check\CheckTray;
use App\Actions\Check\SampleUnit;
use App\Http\Requests\Bench\GateAnswered;
use App\Http\Requests\Bench\GateWord;
use App\Http\Requests\Check\TrayAnswered;
use App\Http\Requests\NothingSent;
use App\Http\Requests\OldRevision;
use App\Models\Unit;
use App\Queries\Bench\GatesShown;
use App\Queries\Check\LotShown;
use App\Queries\Check\TrayShown;
use Illuminate\Http\JsonResponse;

/** One look over the whole batch, and the gates where it is looked at on its way. */
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

    public function gates(NothingSent $given, Unit $unit, GatesShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($unit, $given->person()));
    }

    public function answerGate(GateAnswered $given, Unit $unit, GatesShown $shown, AnswerGates $gates): JsonResponse
    {
        $person = $given->person();
        $gates->answer($unit, $person, $given->gate(), $given->pieces(), $given->passed(), $given->note());

        return new JsonResponse($shown->of($unit->refresh(), $person));
    }

    public function judgeTest(GateWord $given, Unit $unit, GatesShown $shown, JudgeTestModel $judge): JsonResponse
    {
        $judge($unit, $given->person(), $given->passed(), $given->note());

        return new JsonResponse($shown->of($unit->refresh(), $given->person()));
    }

    public function recolour(OldRevision $given, Unit $unit, GatesShown $shown, RecolourUnit $recolour): JsonResponse
    {
        return new JsonResponse($shown->of($recolour($unit, $given->revision()), $given->person()));
    }

    public function lot(NothingSent $given, Unit $unit, LotShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($unit, $given->person()));
    }

    public function draw(NothingSent $given, Unit $unit, LotShown $shown, SampleUnit $sample): JsonResponse
    {
        $sample->draw($unit, $given->person());

        return new JsonResponse($shown->of($unit, $given->person()), 201);
    }

    public function pass(NothingSent $given, Unit $unit): JsonResponse
    {
        $left = $this->tray->pass($unit, $given->person());

        return new JsonResponse($this->shown->of($unit->refresh(), $given->person(), $left));
    }
}
