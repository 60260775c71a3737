<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Actions\Bench\LayBatches;
use App\Http\Requests\Bench\BatchAsked;
use App\Http\Requests\Bench\BatchChanged;
use App\Http\Requests\Bench\DayAsked;
use App\Http\Requests\OldRevision;
use App\Models\BatchRow;
use App\Queries\Bench\BatchShown;
use App\Queries\Bench\DayOnBench;
use App\Studio\Today;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

final class BatchController
{
    public function index(BatchShown $shown): JsonResponse
    {
        return new JsonResponse($shown->all());
    }

    public function show(BatchRow $batch, BatchShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($batch));
    }

    public function anew(BatchRow $batch, BatchShown $shown): JsonResponse
    {
        return new JsonResponse($shown->anew($batch));
    }

    public function day(DayAsked $asked, Today $today, DayOnBench $day): JsonResponse
    {
        return new JsonResponse($day->of($asked->on($today)));
    }

    public function make(BatchAsked $asked, LayBatches $lay, BatchShown $shown): JsonResponse
    {
        $row = $lay->make(
            $asked->person(),
            $asked->name(),
            $asked->units(),
            $asked->painters(),
            $asked->startsAt(),
            $asked->guns(),
            $asked->fan(),
        );

        return new JsonResponse($shown->of($row), 201);
    }

    public function change(BatchChanged $given, BatchRow $batch, LayBatches $lay, BatchShown $shown): JsonResponse
    {
        $row = $lay->change(
            $batch,
            $given->revision(),
            $given->name(),
            $given->painters(),
            $given->guns(),
            $given->fan(),
        );

        return new JsonResponse($shown->of($row));
    }

    public function layAnew(OldRevision $given, BatchRow $batch, LayBatches $lay, BatchShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($lay->layAnew($batch, $given->revision())));
    }

    public function end(BatchRow $batch, LayBatches $lay): Response
    {
        $lay->end($batch);

        return new Response('', 204);
    }
}
