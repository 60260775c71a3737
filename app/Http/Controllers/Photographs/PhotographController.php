<?php

declare(strict_types=1);

namespace App\Http\Controllers\Photographs;

use App\Actions\Photographs\KeepPhotographs;
use App\Http\Requests\Bench\TestModelChosen;
use App\Http\Requests\Photographs\NewFigurePhotograph;
use App\Http\Requests\Photographs\NewPhotograph;
use App\Http\Requests\Photographs\PhotographPlaced;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Queries\Photographs\EvennessShown;
use App\Queries\Photographs\PhotographsShown;
use App\Repositories\Figures;
use Illuminate\Http\JsonResponse;

/** Photographs of models and figures, and what they say of a unit. */
final class PhotographController
{
    public function __construct(
        private readonly KeepPhotographs $keep,
        private readonly PhotographsShown $shown,
        private readonly Figures $figures,
    ) {
    }

    public function index(Piece $piece): JsonResponse
    {
        return new JsonResponse($this->shown->of($piece->load('unit.sculpt')));
    }

    public function store(NewPhotograph $given, Piece $piece): JsonResponse
    {
        return $this->one($this->keep->keep($piece, $given->sha256(), $given->view(), $given->person()), 201);
    }

    public function ofFigure(string $slug): JsonResponse
    {
        return new JsonResponse($this->shown->ofFigure(Sculpt::query()->where('slug', $slug)->firstOrFail()));
    }

    public function storeOfFigure(NewFigurePhotograph $given, string $slug): JsonResponse
    {
        $sculpt = Sculpt::query()->where('slug', $slug)->firstOrFail();
        $kept = $this->keep->keepOfFigure(
            $sculpt,
            $given->sha256(),
            $given->view(),
            $given->shows(),
            $given->person(),
        );

        return $this->one($kept, 201);
    }

    public function place(PhotographPlaced $given, Photograph $photograph): JsonResponse
    {
        $photograph->load(['piece.unit.sculpt', 'sculpt']);

        return $this->one($this->keep->place($photograph, $given->placement(), $given->revision())->refresh(), 200);
    }

    public function remove(Photograph $photograph): JsonResponse
    {
        $this->keep->remove($photograph->load('piece'));

        return new JsonResponse(null, 204);
    }

    public function evenness(Unit $unit, EvennessShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($unit));
    }

    public function testModel(TestModelChosen $given, Unit $unit, EvennessShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($this->keep->testModel($unit, $given->model())));
    }

    private function one(Photograph $photograph, int $status): JsonResponse
    {
        $photograph->load(['picture', 'maker', 'piece.unit.sculpt', 'sculpt']);

        return new JsonResponse(
            PhotographsShown::one($photograph, $this->figures->of($photograph->figure())),
            $status,
        );
    }
}
