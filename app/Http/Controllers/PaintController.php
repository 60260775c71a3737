<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ShelvePaint;
use App\Http\Requests\ListAsked;
use App\Http\Requests\NewPaint;
use App\Http\Resources\PaintBrief;
use App\Queries\PaintsListed;
use Illuminate\Http\JsonResponse;

/** The shelf of paints. */
final class PaintController
{
    public function index(ListAsked $asked, PaintsListed $paints): JsonResponse
    {
        return new JsonResponse($paints->page($asked->find(), $asked->cursor()));
    }

    public function store(NewPaint $given, ShelvePaint $shelve): JsonResponse
    {
        return new JsonResponse(new PaintBrief($shelve($given->facts())), 201);
    }
}
