<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\WorkOnPieces;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Unit;
use App\Studio\BenchWork;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use stdClass;

final class BenchController
{
    private const AT_WORK = ['planned', 'on_bench', 'rework'];

    public function index(): JsonResponse
    {
        $units = Unit::query()
            ->with([
                'order:id,number,title,due_on,standard_version_id',
                'order.version',
                'sculpt:id,name',
                'pieces' => fn ($q) => $q->orderBy('number'),
                'pieces.logs:id,piece_id,step',
            ])
            ->whereNotNull('released_at')
            ->whereHas('pieces', fn ($q) => $q->whereIn('stage', [...self::AT_WORK, 'offered']))
            ->get()
            ->sortBy(fn (Unit $u) => [$u->order->due_on->timestamp ?? PHP_INT_MAX, $u->id])
            ->values();

        return new JsonResponse([
            'data' => $units
                ->map(
                    fn (Unit $u) => [
                        'id' => $u->id,
                        'order_number' => $u->order->number,
                        'title' => $u->order->title,
                        'due_on' => $u->order->due_on?->format('Y-m-d'),
                        'sculpt' => $u->sculpt->name,
                        'tier' => Standards::core($u->order->version)->tier($u->tier)->name,
                        'steps' => count(BenchWork::plan($u)->steps),
                        'passes' => count(BenchWork::plan($u)->passes),
                        'pieces' => $u->pieces
                            ->map(
                                fn (Piece $p) => [
                                    'id' => $p->id,
                                    'number' => $p->number,
                                    'code' => $p->code,
                                    'stage' => $p->stage,
                                    'done' => $p->logs
                                        ->filter(fn (StepLog $l) => ! str_starts_with($l->step, 'under:'))
                                        ->count(),
                                ],
                            )
                            ->all(),
                    ],
                )
                ->all(),
        ]);
    }

    public function show(Unit $unit): JsonResponse
    {
        $unit->load([
            'order.version',
            'order.scheme',
            'sculpt',
            'pieces' => fn ($q) => $q->orderBy('number'),
            'pieces.logs.user:id,name',
            'pieces.unit',
        ]);
        $plan = BenchWork::plan($unit);
        $standard = Standards::core($unit->order->version);
        $sculpt = UnitPlans::sculpt($unit->sculpt);
        $steps = [];
        foreach ($plan->steps as $step) {
            $steps[$step->no] = BenchWork::key($step);
        }

        return new JsonResponse([
            'unit' => [
                'id' => $unit->id,
                'order_number' => $unit->order->number,
                'title' => $unit->order->title,
                'sculpt' => $sculpt->name,
                'tier' => $standard->tier($unit->tier)->name,
                'frame_mm' => $sculpt->frameMm ?? [60, 80],
            ],
            'figure' => PlanController::figure($sculpt, UnitPlans::schemeOf($unit), UnitPlans::shelf()),
            'passes' => array_map(function (stdClass $pass) use ($standard, $steps, $plan): array {
                $technique = $standard->technique($pass->technique);
                $first = $plan->steps[$pass->steps[0] - 1];

                return [
                    'no' => $pass->no,
                    'technique' => $technique->name,
                    'areas' => $pass->areas,
                    'paint' => $pass->paint,
                    'hex' => $first->colour?->hex,
                    'extent' => $first->extent,
                    'minutes' => round($pass->minutes, 2),
                    'dry' => $pass->dry,
                    'steps' => array_map(fn (int $no) => $steps[$no], $pass->steps),
                    'how' => $technique->notes->how,
                    'consistency' => $technique->notes->consistency,
                    'tools' => $technique->notes->tools,
                    'good' => $technique->notes->good,
                    'caution' => $technique->notes->caution,
                ];
            }, $plan->passes),
            'pieces' => $unit->pieces
                ->map(
                    fn (Piece $p) => [
                        'id' => $p->id,
                        'number' => $p->number,
                        'code' => $p->code,
                        'stage' => $p->stage,
                        'wants' => $p->steps,
                        'done' => $p->logs->pluck('step')->all(),
                        'repairs' => array_map(
                            fn (string $key, array $s) => [
                                'key' => $key,
                                'technique' => $standard->technique($s['technique'])->name,
                                'area' => $s['area'],
                                'minutes' => $s['minutes'],
                            ],
                            array_keys(BenchWork::repairs($p)),
                            array_values(BenchWork::repairs($p)),
                        ),
                    ],
                )
                ->all(),
        ]);
    }

    public function mark(Request $request, WorkOnPieces $work): JsonResponse
    {
        $given = $request->validate([
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
            'steps' => ['required', 'array', 'min:1', 'max:500'],
            'steps.*' => ['string', 'max:80'],
            'skipped' => ['nullable', 'string', 'max:500'],
        ]);
        $pieces = $work->mark(array_map(intval(...), $given['pieces']), $given['steps'], $given['skipped'] ?? null);

        return new JsonResponse([
            'pieces' => array_map(
                fn (Piece $p) => ['id' => $p->id, 'stage' => $p->stage, 'done' => $p->logs()->pluck('step')->all()],
                $pieces,
            ),
        ]);
    }

    public function unmark(Request $request, WorkOnPieces $work): JsonResponse
    {
        $given = $request->validate(['piece' => ['required', 'integer'], 'step' => ['required', 'string', 'max:80']]);
        $piece = $work->unmark(Piece::query()->findOrFail((int) $given['piece']), $given['step']);

        return new JsonResponse([
            'pieces' => [
                ['id' => $piece->id, 'stage' => $piece->stage, 'done' => $piece->logs()->pluck('step')->all()],
            ],
        ]);
    }

    public function offer(Piece $piece, WorkOnPieces $work): JsonResponse
    {
        $piece = $work->offer($piece);

        return new JsonResponse(['id' => $piece->id, 'stage' => $piece->stage]);
    }
}
