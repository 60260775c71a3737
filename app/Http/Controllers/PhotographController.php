<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepPhotographs;
use App\Http\Requests\NewPhotograph;
use App\Http\Requests\PhotographPlaced;
use App\Models\Photograph;
use App\Models\Piece;
use App\Queries\PhotographsShown;
use Illuminate\Http\JsonResponse;

/** Photographs of models. */
final class PhotographController
{
    public function __construct(private readonly KeepPhotographs $keep)
    {
    }

    public function index(Piece $piece, PhotographsShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($piece->load('unit.sculpt')));
    }

    public function store(NewPhotograph $given, Piece $piece): JsonResponse
    {
        $photograph = $this->keep->keep($piece, $given->sha256(), $given->view(), $given->person());

        return new JsonResponse(PhotographsShown::one($photograph->load(['picture', 'maker'])), 201);
    }

    public function place(PhotographPlaced $given, Photograph $photograph): JsonResponse
    {
        $photograph->load(['picture', 'maker', 'piece.unit.sculpt']);

        return new JsonResponse(PhotographsShown::one($this->keep->place($photograph, $given->placement())->refresh()));
    }

    public function remove(Photograph $photograph): JsonResponse
    {
        $this->keep->remove($photograph->load('piece'));

        return new JsonResponse(null, 204);
    }
}
