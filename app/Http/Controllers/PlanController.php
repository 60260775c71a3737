<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanUnit;
use App\Models\Piece;
use App\Models\Unit;
use App\Studio\PlanView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

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
        $given = $request->validate(['revision' => ['required', 'integer']]);

        return new JsonResponse(PlanView::of($plan->release($unit, (int) $given['revision']), $request->user()));
    }

    /** The model of the unit that a request names by its number. */
    public static function piece(Request $request, Unit $unit): ?Piece
    {
        $number = $request->validate(['piece' => ['nullable', 'integer', 'min:1']])['piece'] ?? null;

        return $number === null ? null : $unit->pieces()->where('number', (int) $number)->firstOrFail();
    }

    /**
     * The areas of a figure with their outlines and the colour each is shown in.
     *
     * @return list<array<string, mixed>>
     */
    public static function figure(Sculpt $sculpt, ?Scheme $scheme, Shelf $shelf): array
    {
        return array_map(
            function (Area $area, int $i) use ($scheme, $shelf): array {
                $base = $scheme?->for($area)?->base;

                return [
                    'key' => $area->key,
                    'no' => $i + 1,
                    'name' => $area->name,
                    'material' => $area->material->value,
                    'relief' => array_map(fn ($r) => $r->value, $area->relief),
                    'rank' => $area->rank->value,
                    'slot' => $area->slot,
                    'focus' => $area->focus,
                    'layer' => $area->layer,
                    'outline' => (object) $area->outline,
                    'paint' => $base,
                    'colour' => $base === null ? null : $shelf->colourOf($base)?->hex(),
                ];
            },
            $sculpt->areas,
            array_keys($sculpt->areas),
        );
    }
}
