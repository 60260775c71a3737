<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddUnit;
use App\Actions\MovePiece;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Tier;
use stdClass;

final class OrderController
{
    public function index(Request $request): JsonResponse
    {
        $given = $request->validate(['status' => ['nullable', 'string'], 'cursor' => ['nullable', 'string']]);
        $orders = Order::query()
            ->with(['units.sculpt:id,name', 'units.pieces:id,unit_id,number,code,stage', 'version'])
            ->when($given['status'] ?? null, fn ($q, $status) => $q->where('status', $status))
            ->orderByRaw("status in ('delivered','closed','cancelled')")
            ->orderBy('due_on')
            ->orderBy('id')
            ->cursorPaginate(50);

        return new JsonResponse([
            'data' => array_map(self::brief(...), $orders->items()),
            'next_cursor' => $orders->nextCursor()?->encode(),
        ]);
    }

    public function show(Order $order): JsonResponse
    {
        $order->load(['units.sculpt', 'units.pieces', 'units.order.version', 'version', 'scheme', 'amendments']);
        $standard = Standards::core($order->version);
        $planned = [];
        foreach ($order->units as $unit) {
            $plan = UnitPlans::inForce($unit->setRelation('order', $order));
            $price = array_values(
                array_filter(
                    $standard->prices,
                    fn (PriceRange $p) => $p->tier === $unit->tier &&
                        $p->size->value === $unit->sculpt->size &&
                        $p->role->value === $unit->sculpt->role,
                ),
            );
            $planned[$unit->id] = [
                'minutes' => round($plan->minutes() / max(1, UnitPlans::pieces($unit)->count()), 1),
                'setup' => round($plan->setupMinutes(), 1),
                'conflicts' => count($plan->conflicts()),
                'agreed' => self::agreed($unit),
                'price' => $price === [] ? null : ['low' => $price[0]->low, 'high' => $price[0]->high],
            ];
        }
        $spent = DB::table('step_logs')
            ->join('pieces', 'pieces.id', '=', 'step_logs.piece_id')
            ->whereIn('pieces.unit_id', $order->units->pluck('id'))
            ->whereNull('step_logs.skipped')
            ->groupBy('pieces.unit_id')
            ->selectRaw(
                'pieces.unit_id, sum(step_logs.minutes) as minutes, sum(step_logs.planned_minutes) as planned',
            )
            ->get()
            ->keyBy('unit_id');

        return new JsonResponse(
            self::brief($order) + [
                'brief' => $order->brief,
                'method' => $order->method === null ? null : Json::decode($order->method),
                'scheme' => $order->scheme?->name,
                'scheme_slug' => $order->scheme?->slug,
                'reference' => $order->reference,
                'schemes' => Scheme::query()
                    ->orderBy('name')
                    ->get(['slug', 'name'])
                    ->map(fn (Scheme $s) => ['slug' => $s->slug, 'name' => $s->name])
                    ->all(),
                'currency' => $standard->currency,
                'unit_plans' => $order->units
                    ->map(
                        fn (Unit $u) => [
                            'unit' => $u->id,
                            // What was timed or entered; what the steps that are done were planned at stands beside
                            // it.
                            'spent' => isset($spent[$u->id]->minutes)
                                ? round((float) $spent[$u->id]->minutes, 1)
                                : null,
                            'planned_done' => round((float) ($spent[$u->id]->planned ?? 0), 1),
                        ] + $planned[$u->id],
                    )
                    ->all(),
                'tiers' => array_map(
                    fn (Tier $t) => [
                        'key' => $t->key,
                        'name' => $t->name,
                        'order' => $t->order,
                        'status' => $t->status->value,
                    ],
                    $standard->tiers,
                ),
                'sculpts' => Sculpt::query()
                    ->orderBy('id')
                    ->get(['slug', 'name'])
                    ->map(fn (Sculpt $s) => ['slug' => $s->slug, 'name' => $s->name])
                    ->all(),
            ],
        );
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'client' => ['required', 'string', 'max:200'],
            'title' => ['required', 'string', 'max:200'],
            'brief' => ['nullable', 'string', 'max:5000'],
            'due_on' => ['nullable', 'date_format:Y-m-d'],
            'scheme' => ['nullable', 'string', 'exists:schemes,slug'],
        ]);
        $order = DB::transaction(function () use ($given): Order {
            $next = (int) Order::query()->lockForUpdate()->max('id') + 1;
            $order = Order::query()->create([
                'number' => sprintf('%s-%03d', now()->format('y'), $next),
                'client' => $given['client'],
                'title' => $given['title'],
                'brief' => $given['brief'] ?? null,
                'status' => 'draft',
                'due_on' => $given['due_on'] ?? null,
                'standard_version_id' => Standards::current()->id,
                // Colours are the client's: the same client's last, or none until somebody chooses.
                'scheme_id' => isset($given['scheme'])
                    ? Scheme::query()->where('slug', $given['scheme'])->value('id')
                    : Order::query()->where('client', $given['client'])->orderByDesc('id')->value('scheme_id'),
            ]);
            ActivityLog::write('order.created', $order, null, $given);

            return $order;
        });

        return $this->show($order->refresh())->setStatusCode(201);
    }

    public function addUnit(Request $request, Order $order, AddUnit $add): JsonResponse
    {
        $given = $request->validate([
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
            'tier' => ['required', 'string'],
            'count' => ['required', 'integer', 'min:1', 'max:500'],
            'label' => ['nullable', 'string', 'max:200'],
        ]);
        $unit = $add(
            $order->load('version'),
            Sculpt::query()->where('slug', $given['sculpt'])->firstOrFail(),
            $given['tier'],
            (int) $given['count'],
            $given['label'] ?? null,
        );

        return new JsonResponse(['id' => $unit->id], 201);
    }

    /** A piece put on hold, taken up again, lost, cancelled, delivered or claimed. */
    public function movePiece(Request $request, Piece $piece, MovePiece $move): JsonResponse
    {
        $given = $request->validate([
            'move' => ['required', Rule::in(MovePiece::moves())],
            'reason' => ['nullable', 'string', 'max:500'],
        ]);
        $piece = $move($piece, StageMove::from($given['move']), $given['reason'] ?? '');

        return new JsonResponse([
            'id' => $piece->id,
            'number' => $piece->number,
            'code' => $piece->code,
            'stage' => $piece->stage,
        ]);
    }

    /** @return list<array{price: string, reason: string}> what amendments of the unit add to its price, as agreed */
    private static function agreed(Unit $unit): array
    {
        $agreed = [];
        foreach (UnitPlans::rows($unit) as $row) {
            $amendment = Json::decode($row->body);
            if ($amendment instanceof stdClass && is_string($amendment->price ?? null)) {
                $agreed[] = ['price' => $amendment->price, 'reason' => (string) ($amendment->reason ?? '')];
            }
        }

        return $agreed;
    }

    /** @return array<string, mixed> */
    private static function brief(Order $order): array
    {
        $standard = Standards::core($order->version);

        return [
            'id' => $order->id,
            'number' => $order->number,
            'client' => $order->client,
            'title' => $order->title,
            'status' => $order->status,
            'due_on' => $order->due_on?->format('Y-m-d'),
            'late' => $order->due_on !== null &&
                $order->due_on->isPast() &&
                ! in_array($order->status, Order::FINISHED, true),
            'standard_version' => $order->version->number,
            'units' => $order->units
                ->map(
                    fn (Unit $u) => [
                        'id' => $u->id,
                        'sculpt' => $u->sculpt->name,
                        'tier' => $u->tier,
                        'tier_name' => $standard->hasTier($u->tier) ? $standard->tier($u->tier)->name : $u->tier,
                        'label' => $u->label,
                        'released' => $u->released_at !== null,
                        'pieces' => $u->pieces
                            ->map(
                                fn (Piece $p) => [
                                    'id' => $p->id,
                                    'number' => $p->number,
                                    'code' => $p->code,
                                    'stage' => $p->stage,
                                ],
                            )
                            ->values()
                            ->all(),
                    ],
                )
                ->values()
                ->all(),
        ];
    }
}
