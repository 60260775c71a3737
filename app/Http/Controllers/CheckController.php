<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CheckPiece;
use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\Checks;
use App\Studio\Faults;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Standard\Technique;

final class CheckController
{
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

    private static function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** @return array<string, mixed> */
    private function check(Check $check, Request $request): array
    {
        $check = Check::query()
            ->with([
                'piece.unit.order.version',
                'piece.unit.order.scheme',
                'piece.unit.sculpt',
                'piece.unit.pieces' => fn ($q) => $q->orderBy('number'),
                'answers.user:id,name',
                'faults',
            ])
            ->findOrFail($check->id);
        $unit = $check->piece->unit;
        $core = UnitPlans::request($unit);
        $verdict = Checks::verdict($check);
        $names = array_column(array_map(fn (Technique $t) => [$t->key, $t->name], $core->standard->techniques), 1, 0);
        $user = self::person($request);
        $own = Checks::isOwnWork($check->piece, $user);
        $clauses = [];
        foreach ($core->standard->clausesOf($core->tier) as $clause) {
            $clauses[$clause->id] = $clause->clientText ?? ($clause->label ?? $clause->id);
        }

        return [
            'id' => $check->id,
            'round' => $check->round,
            'closed' => $check->closed_at !== null,
            'verdict' => $check->verdict,
            'reason' => $check->reason,
            'unit' => [
                'id' => $unit->id,
                'order' => $unit->order_id,
                'order_number' => $unit->order->number,
                'sculpt' => $core->sculpt->name,
                'tier' => $core->tier->name,
                'distance_cm' => $core->tier->viewing->distanceCm,
                'standard_version' => $unit->order->version->number,
                'frame_mm' => $core->sculpt->frameMm ?? [60, 80],
                'pieces' => $unit->pieces
                    ->map(
                        fn (Piece $p) => [
                            'id' => $p->id,
                            'number' => $p->number,
                            'code' => $p->code,
                            'stage' => $p->stage,
                        ],
                    )
                    ->all(),
            ],
            'piece' => [
                'id' => $check->piece->id,
                'number' => $check->piece->number,
                'code' => $check->piece->code,
                'stage' => $check->piece->stage,
                'painters' => User::query()
                    ->whereIn('id', Checks::painters($check->piece))
                    ->orderBy('name')
                    ->pluck('name')
                    ->all(),
            ],
            'figure' => PlanController::figure($core->sculpt, $core->scheme, $core->shelf),
            'questions' => $check->questions,
            'clauses' => (object) $clauses,
            'answers' => $check->answers
                ->map(
                    fn (Answer $a) => [
                        'question' => $a->question,
                        'answer' => $a->answer,
                        'note' => $a->note,
                        'by' => $a->user->name,
                    ],
                )
                ->values()
                ->all(),
            'faults' => $check->faults
                ->map(
                    fn (FaultRow $f) => [
                        'id' => $f->id,
                        'question' => $f->question,
                        'fault' => $f->fault,
                        'name' => Faults::catalogue()->kind($f->fault)->name,
                        'area' => $f->area,
                        'spread' => $f->spread,
                        'size_mm' => $f->size_mm === null ? null : (float) $f->size_mm,
                        'severity' => $f->severity,
                        'why' => $f->why,
                        'repair' => array_map(
                            fn (array $s) => [
                                'technique' => $names[$s['technique']] ?? $s['technique'],
                                'area' => $s['area'],
                                'minutes' => (float) $s['minutes'],
                                'why' => $s['why'],
                            ],
                            $f->repair,
                        ),
                    ],
                )
                ->values()
                ->all(),
            'fault_kinds' => array_values(
                array_map(
                    fn ($k) => [
                        'key' => $k->key,
                        'name' => $k->name,
                        'looks' => $k->looks,
                        'how_to_see' => $k->howToSee,
                        'by_size' => $k->bySize,
                        'whole' => $k->where === 'whole',
                    ],
                    Faults::catalogue()->kinds,
                ),
            ),
            'verdict_so_far' => [
                'passes' => $verdict->passes,
                'words' => $verdict->words,
                'open' => $verdict->open,
                'counted' => $verdict->counted,
                'minor_limit' => $verdict->minorLimit,
            ],
            'may' => [
                'answer' => ! $own && $check->closed_at === null && Rights::has($user, 'check.answer'),
                'accept' => ! $own && Rights::has($user, 'sign'),
                'sign' => Rights::has($user, 'sign'),
            ],
        ];
    }
}
