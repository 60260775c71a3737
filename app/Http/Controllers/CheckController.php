<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CheckPiece;
use App\Models\Check;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Queries\CheckShown;
use App\Studio\Standards;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class CheckController
{
    public function __construct(private readonly CheckShown $shown)
    {
    }

    /** The units that have pieces to be looked at or to be signed. */
    public function index(): JsonResponse
    {
        $units = Unit::query()
            ->with([
                'order:id,number,title,due_on,standard_version_id',
                'order.version',
                'sculpt:id,name',
                'pieces' => fn ($q) => $q->orderBy('number'),
                'pieces.checks:id,piece_id,round,verdict,closed_at',
            ])
            ->whereHas('pieces', fn ($q) => $q->whereIn('stage', ['offered', 'rework', 'passed', 'signed']))
            ->orderBy('id')
            ->get();

        return new JsonResponse([
            'data' => $units
                ->map(
                    fn (Unit $u) => [
                        'id' => $u->id,
                        'order_number' => $u->order->number,
                        'title' => $u->order->title,
                        'sculpt' => $u->sculpt->name,
                        'tier' => Standards::core($u->order->version)->tier($u->tier)->name,
                        'standard_version' => $u->order->version->number,
                        'pieces' => $u->pieces
                            ->map(
                                fn (Piece $p) => [
                                    'id' => $p->id,
                                    'number' => $p->number,
                                    'code' => $p->code,
                                    'stage' => $p->stage,
                                    'rounds' => $p->checks->count(),
                                    'open_check' => $p->checks->whereNull('closed_at')->first()?->id,
                                ],
                            )
                            ->all(),
                    ],
                )
                ->all(),
        ]);
    }

    public function open(Request $request, Piece $piece, CheckPiece $work): JsonResponse
    {
        return new JsonResponse($this->check($work->open($piece, self::person($request)), $request), 201);
    }

    public function show(Request $request, Check $check): JsonResponse
    {
        return new JsonResponse($this->check($check, $request));
    }

    public function answer(Request $request, Check $check, CheckPiece $work): JsonResponse
    {
        $given = $request->validate([
            'question' => ['required', 'string', 'max:190'],
            'answer' => ['required', 'in:yes,fault,not_seen,not_applicable'],
            'note' => ['nullable', 'string', 'max:1000'],
            'faults' => ['array', 'max:20'],
            'faults.*.fault' => ['required', 'string'],
            'faults.*.area' => ['nullable', 'string'],
            'faults.*.spread' => ['required', 'in:spot,patch,whole'],
            'faults.*.size_mm' => ['nullable', 'numeric', 'min:0.01', 'max:500'],
        ]);
        $faults = array_map(
            fn (array $f) => [
                'fault' => $f['fault'],
                'area' => $f['area'] ?? null,
                'spread' => $f['spread'],
                'size_mm' => isset($f['size_mm']) ? (float) $f['size_mm'] : null,
            ],
            array_values($given['faults'] ?? []),
        );

        return new JsonResponse(
            $this->check(
                $work->answer(
                    $check,
                    self::person($request),
                    $given['question'],
                    $given['answer'],
                    $given['note'] ?? null,
                    $faults,
                ),
                $request,
            ),
        );
    }

    public function close(Request $request, Check $check, CheckPiece $work): JsonResponse
    {
        $given = $request->validate([
            'verdict' => ['required', 'in:passed,rework,accepted'],
            'reason' => ['nullable', 'string', 'max:1000'],
        ]);

        return new JsonResponse(
            $this->check(
                $work->close($check, self::person($request), $given['verdict'], $given['reason'] ?? null),
                $request,
            ),
        );
    }

    /** Takes away a fault that was noted by mistake. */
    public function takeAway(Request $request, Check $check, int $fault, CheckPiece $work): JsonResponse
    {
        return new JsonResponse($this->check($work->takeAway($check, $fault, self::person($request)), $request));
    }

    private static function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** @return array<string, mixed> */
    private function check(Check $check, Request $request): array
    {
        return $this->shown->of($check, self::person($request));
    }
}
