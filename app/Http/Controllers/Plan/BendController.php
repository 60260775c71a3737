<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Bench\VaryPieces;
use App\Actions\Plan\BendPlan;
use App\Http\Requests\Bench\VariantsGivenLate;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Plan\AimOfUnit;
use App\Http\Requests\Plan\AreasLacking;
use App\Http\Requests\Plan\PlanCopied;
use App\Http\Requests\Plan\PracticeOfUnit;
use App\Http\Requests\Plan\RulesSetAside;
use App\Http\Requests\Plan\SequenceOfSteps;
use App\Http\Requests\Plan\StepDetails;
use App\Http\Requests\Plan\StepMoved;
use App\Http\Requests\Plan\VariantsOfUnit;
use App\Http\Requests\StudioRequest;
use App\Models\Piece;
use App\Models\Unit;
use App\Queries\Bench\LateVariantsShown;
use App\Queries\Plan\MoveOfStep;
use App\Queries\Plan\PlanShown;
use Illuminate\Http\JsonResponse;

/**
 * The lead bends a plan: its order, rules set aside, paints and notes of steps, practice, variants, models that lack
 * areas.
 */
final class BendController
{
    public function __construct(private readonly BendPlan $bend, private readonly PlanShown $shown)
    {
    }

    public function move(StepMoved $given, Unit $unit, MoveOfStep $move): JsonResponse
    {
        return new JsonResponse($move->of($unit, $given->step(), $given->to()));
    }

    public function sequence(SequenceOfSteps $given, Unit $unit): JsonResponse
    {
        return $this->view($given, $this->bend->sequence($unit, $given->sequence(), $given->revision()));
    }

    public function step(StepDetails $given, Unit $unit): JsonResponse
    {
        return $this->view(
            $given,
            $this->bend->step($unit, $given->step(), $given->paint(), $given->note(), $given->revision()),
        );
    }

    public function practice(PracticeOfUnit $given, Unit $unit): JsonResponse
    {
        return $this->view($given, $this->bend->practice($unit, $given->technique(), $given->revision()));
    }

    public function aim(AimOfUnit $given, Unit $unit): JsonResponse
    {
        return $this->view($given, $this->bend->aim($unit, $given->aim(), $given->revision()));
    }

    public function overrule(RulesSetAside $given, Unit $unit): JsonResponse
    {
        return $this->view(
            $given,
            $this->bend->overrule($unit, $given->setAside(), $given->reason(), $given->person(), $given->revision()),
        );
    }

    public function uphold(OldRevision $given, Unit $unit, int $overrule): JsonResponse
    {
        return $this->view($given, $this->bend->uphold($unit, $overrule, $given->revision()));
    }

    public function variants(VariantsOfUnit $given, Unit $unit): JsonResponse
    {
        return $this->view($given, $this->bend->variants($unit, $given->variants(), $given->revision()));
    }

    public function lateVariants(Unit $unit, LateVariantsShown $late): JsonResponse
    {
        return new JsonResponse($late->of($unit));
    }

    public function varyLate(VariantsGivenLate $given, Unit $unit, VaryPieces $vary): JsonResponse
    {
        $unit = $vary($unit, $given->pieces(), $given->area(), $given->technique(), $given->revision());

        return $this->view($given, $unit);
    }

    public function lacks(AreasLacking $given, Piece $piece): JsonResponse
    {
        $unit = $this->bend->lacks($piece, $given->lacks(), $given->revision());

        return new JsonResponse($this->shown->of($unit, $given->person(), $piece->refresh()));
    }

    public function copy(PlanCopied $given, Unit $unit): JsonResponse
    {
        [$to, $gone] = $this->bend->copy($unit, Unit::query()->findOrFail($given->to()), $given->revision());

        return new JsonResponse(['unit' => $to->id, 'revision' => $to->revision, 'edits_gone' => $gone]);
    }

    private function view(StudioRequest $given, Unit $unit): JsonResponse
    {
        return new JsonResponse($this->shown->of($unit, $given->person()));
    }
}
