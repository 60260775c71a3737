<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanUnit;
use App\Models\Piece;
use App\Models\Unit;
use App\Studio\PlanView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PlanController
{
    public function show(Request $request, Unit $unit): JsonResponse
    {
        return new JsonResponse(PlanView::of($unit, $request->user(), self::piece($request, $unit)));
    }

    public function edit(Request $request, Unit $unit, PlanUnit $plan): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'piece' => ['nullable', 'integer'],
            'edits' => ['present', 'array'],
            'edits.*' => ['array'],
            'edits.*.*.technique' => ['required', 'string'],
            'edits.*.*.passes' => ['required', 'integer', 'min:1', 'max:20'],
            'edits.*.*.extent' => ['required', 'in:spot,prominent,full'],
        ]);

        $piece = self::piece($request, $unit);

        return new JsonResponse(
            PlanView::of(
                $plan->edit($unit, $given['edits'], (int) $given['revision'], $piece),
                $request->user(),
                $piece,
            ),
        );
    }

    public function release(Request $request, Unit $unit, PlanUnit $plan): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'despite' => ['nullable', 'string', 'max:500'],
        ]);
        $released = $plan->release($unit, (int) $given['revision'], $given['despite'] ?? null);

        return new JsonResponse(PlanView::of($released, $request->user()));
    }

    public function takeBack(Request $request, Unit $unit, PlanUnit $plan): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer']]);

        return new JsonResponse(PlanView::of($plan->takeBack($unit, (int) $given['revision']), $request->user()));
    }

    /** The model of the unit that a request names by its number. */
    public static function piece(Request $request, Unit $unit): ?Piece
    {
        $number = $request->validate(['piece' => ['nullable', 'integer', 'min:1']])['piece'] ?? null;

        return $number === null ? null : $unit->pieces()->where('number', (int) $number)->firstOrFail();
    }
}
