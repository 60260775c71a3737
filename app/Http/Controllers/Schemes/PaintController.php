<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schemes;

use App\Actions\Schemes\ShelvePaint;
use App\Http\Requests\ListAsked;
use App\Http\Requests\Schemes\NewPaint;
use App\Http\Resources\Schemes\PaintBrief;
use App\Queries\Schemes\PaintsListed;
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
