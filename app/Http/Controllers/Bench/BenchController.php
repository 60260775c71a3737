<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Actions\Bench\CorrectTime;
use App\Actions\Bench\WorkOnPieces;
use App\Http\Requests\Bench\ForecastAsked;
use App\Http\Requests\Bench\MarkSteps;
use App\Http\Requests\Bench\PiecesOffered;
use App\Http\Requests\Bench\StepsUnmarked;
use App\Http\Requests\Bench\TimeCorrected;
use App\Http\Requests\Bench\WorkTakenOver;
use App\Http\Requests\ListAsked;
use App\Http\Requests\NothingSent;
use App\Models\Piece;
use App\Models\Unit;
use App\Queries\Bench\BatchesOnBench;
use App\Queries\Bench\BatchForecast;
use App\Queries\Bench\BatchOnBench;
use App\Queries\Bench\TimeOnUnit;
use App\Studio\BenchWork;
use Illuminate\Http\JsonResponse;

final class BenchController
{
    public function index(ListAsked $asked, BatchesOnBench $batches): JsonResponse
    {
        return new JsonResponse($batches->page($asked->find(), $asked->cursor()));
    }

    public function show(Unit $unit, BatchOnBench $batch): JsonResponse
    {
        return new JsonResponse($batch->of($unit));
    }

    public function forecast(ForecastAsked $given, Unit $unit, BatchForecast $forecast): JsonResponse
    {
        return new JsonResponse($forecast->of($unit, $given->painters(), $given->fan()));
    }

    public function time(NothingSent $asked, Unit $unit, TimeOnUnit $time): JsonResponse
    {
        return new JsonResponse($time->of($unit, $asked->person()));
    }

    public function correctTime(TimeCorrected $given, Unit $unit, CorrectTime $correct, TimeOnUnit $time): JsonResponse
    {
        $correct->correct($unit, $given->person(), $given->logs(), $given->minutes(), $given->reason());

        return new JsonResponse($time->of($unit, $given->person()));
    }

    public function mark(MarkSteps $request, WorkOnPieces $work): JsonResponse
    {
        return $this->marked(
            $work->mark(
                $request->pieces(),
                $request->steps(),
                $request->skipped(),
                $request->minutes(),
                $request->at(),
            ),
        );
    }

    public function unmark(StepsUnmarked $given, WorkOnPieces $work): JsonResponse
    {
        return $this->marked($work->unmark($given->pieces(), $given->steps()));
    }

    public function offer(PiecesOffered $given, WorkOnPieces $work): JsonResponse
    {
        return $this->marked($work->offer($given->pieces()));
    }

    public function takeOver(WorkTakenOver $given, Unit $unit, WorkOnPieces $work, BatchOnBench $batch): JsonResponse
    {
        $work->takeOver($unit, $given->revision(), $given->passes(), $given->painter());

        return new JsonResponse($batch->of($unit->refresh()));
    }

    /** @param  list<Piece>  $pieces */
    private function marked(array $pieces): JsonResponse
    {
        return new JsonResponse([
            'pieces' => array_map(
                fn (Piece $p) => [
                    'id' => $p->id,
                    'stage' => $p->stage,
                    'done' => BenchWork::done($p),
                ],
                $pieces,
            ),
        ]);
    }
}
