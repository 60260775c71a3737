<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Check\TrainTheEye;
use App\Http\Requests\Check\DrillCalled;
use App\Http\Requests\Check\DrillWanted;
use App\Http\Requests\NothingSent;
use App\Models\DrillRun;
use App\Queries\Check\DrillShown;
use Illuminate\Http\JsonResponse;

/** Training the eye on drawn pictures with planted faults. */
final class DrillController
{
    public function __construct(private readonly DrillShown $shown, private readonly TrainTheEye $train)
    {
    }

    public function show(NothingSent $given): JsonResponse
    {
        return new JsonResponse($this->shown->of($given->person()));
    }

    public function begin(DrillWanted $given): JsonResponse
    {
        $run = $this->train->begin($given->sculpt(), $given->tier(), $given->person());

        return new JsonResponse($this->shown->of($given->person(), $run), 201);
    }

    public function call(DrillCalled $given, DrillRun $drill): JsonResponse
    {
        $run = $this->train->call($drill, $given->person(), $given->picture(), $given->area());

        return new JsonResponse($this->shown->of($given->person(), $run));
    }
}
