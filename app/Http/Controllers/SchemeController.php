<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditScheme;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\SchemeVersion;
use App\Models\Sculpt;
use App\Models\User;
use App\Queries\FigureShown;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Colour\AreaColours;
use Ordotype\Core\Colour\Scheme as CoreScheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\SlotCheck;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use Ordotype\Core\Words\SchemeWords;
use stdClass;

/**
 * The colours of armies, slot by slot over all figures of an order, in versions, with how their test models came out.
 */
final class SchemeController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'data' => Scheme::query()
                ->with('versions:id,scheme_id,number,outcome')
                ->withCount('orders')
                ->orderBy('name')
                ->get()
                ->map(
                    fn (Scheme $s) => [
                        'slug' => $s->slug,
                        'name' => $s->name,
                        'number' => $s->number,
                        'orders' => (int) $s->orders_count,
                        'outcome' => $s->versions->firstWhere('number', $s->number)->outcome ?? 'untried',
                    ],
                )
                ->all(),
        ]);
    }

    public function show(Request $request, string $slug): JsonResponse
    {
        return new JsonResponse(
            $this->written(Scheme::query()->where('slug', $slug)->firstOrFail(), $this->order($request)),
        );
    }

    public function store(Request $request, EditScheme $edit): JsonResponse
    {
        return new JsonResponse($this->written($edit->create($this->document($request)), null), 201);
    }

    public function update(Request $request, string $slug, EditScheme $edit): JsonResponse
    {
        $given = $request->validate([
            'number' => ['required', 'integer'],
            'document' => ['required', 'array'],
            'note' => ['nullable', 'string', 'max:1000'],
            'order' => ['nullable', 'integer'],
        ]);
        $scheme = $edit->edit(
            Scheme::query()->where('slug', $slug)->firstOrFail(),
            $this->document($request),
            (int) $given['number'],
            $given['note'] ?? null,
        );

        return new JsonResponse($this->written($scheme, $this->order($request)));
    }

    /**
     * A scheme that is not kept yet, held against its figures: ladders of light, what is missing, and the figures in
     * it.
     */
    public function attempt(Request $request): JsonResponse
    {
        $request->validate(['document' => ['required', 'array'], 'order' => ['nullable', 'integer']]);

        return new JsonResponse(
            $this->checked(SchemeFormat::read($this->document($request)), $this->order($request)),
        );
    }

    public function judge(Request $request, string $slug, EditScheme $edit): JsonResponse
    {
        $given = $request->validate([
            'outcome' => ['required', 'in:accepted,rejected'],
            'note' => ['nullable', 'string', 'max:1000'],
            'piece' => ['nullable', 'integer'],
        ]);
        $piece = isset($given['piece']) ? Piece::query()->findOrFail((int) $given['piece']) : null;

        return new JsonResponse(
            $this->written(
                $edit->judge(
                    Scheme::query()->where('slug', $slug)->firstOrFail(),
                    $given['outcome'] === 'accepted',
                    $given['note'] ?? null,
                    $piece,
                ),
                null,
            ),
        );
    }

    /** The scheme and the reference picture of an order. */
    public function ofOrder(Request $request, Order $order): JsonResponse
    {
        $given = $request->validate([
            'scheme' => ['sometimes', 'nullable', 'string', 'exists:schemes,slug'],
            'reference' => ['sometimes', 'nullable', 'string', 'exists:pictures,sha256'],
        ]);
        if (array_key_exists('scheme', $given) && $order->units()->whereNotNull('released_at')->exists()) {
            throw new Refusal(
                'A unit of this order is on the bench: its scheme stays. Make a new version of it instead.',
                '/scheme',
                409,
            );
        }
        $before = ['scheme_id' => $order->scheme_id, 'reference' => $order->reference];
        $order->update(
            (array_key_exists('scheme', $given)
                ? ['scheme_id' => Scheme::query()->where('slug', $given['scheme'])->value('id')]
                : []) + (array_key_exists('reference', $given) ? ['reference' => $given['reference']] : []),
        );
        ActivityLog::write('order.scheme', $order, $before, [
            'scheme_id' => $order->scheme_id,
            'reference' => $order->reference,
        ]);

        return new JsonResponse([
            'order' => $order->id,
            'scheme' => $order->scheme?->slug,
            'reference' => $order->reference,
        ]);
    }

    /** @return array<string, mixed> */
    private function written(Scheme $scheme, ?Order $order): array
    {
        $versions = $scheme->versions()->orderByDesc('number')->get();
        $names = User::query()
            ->whereIn('id', $versions->pluck('made_by')->merge($versions->pluck('outcome_by')))
            ->pluck('name', 'id');

        return [
            'slug' => $scheme->slug,
            'name' => $scheme->name,
            'number' => $scheme->number,
            'document' => Json::decode($scheme->document),
            'versions' => $versions
                ->map(
                    fn (SchemeVersion $v) => [
                        'number' => $v->number,
                        'note' => $v->note,
                        'made_by' => $names[$v->made_by] ?? null,
                        'at' => $v->created_at?->toIso8601ZuluString(),
                        'outcome' => $v->outcome,
                        'outcome_note' => $v->outcome_note,
                        'outcome_by' => $names[$v->outcome_by] ?? null,
                        'repaint_minutes' => $v->repaint_minutes === null ? null : (float) $v->repaint_minutes,
                    ],
                )
                ->all(),
            'orders' => Order::query()
                ->where('scheme_id', $scheme->id)
                ->orderByDesc('id')
                ->limit(50)
                ->get()
                ->map(
                    fn (Order $o) => [
                        'id' => $o->id,
                        'number' => $o->number,
                        'title' => $o->title,
                        'reference' => $o->reference,
                    ],
                )
                ->all(),
            'tests' => $this->tests($scheme),
        ] + $this->checked(UnitPlans::scheme($scheme) ?? new CoreScheme('', [], []), $order);
    }

    /**
     * @return list<array<string, mixed>> models that could be the test model: painted in this version, finished or
     * nearly so
     */
    private function tests(Scheme $scheme): array
    {
        return array_values(
            Piece::query()
                ->with('unit.sculpt:id,name', 'unit.order:id,number')
                ->whereIn('stage', ['on_bench', 'offered', 'rework', 'passed'])
                ->whereHas(
                    'unit',
                    fn ($q) => $q
                        ->where('scheme_number', $scheme->number)
                        ->whereHas('order', fn ($q) => $q->where('scheme_id', $scheme->id)),
                )
                ->orderBy('id')
                ->limit(40)
                ->get()
                ->map(
                    fn (Piece $p) => [
                        'id' => $p->id,
                        'name' => "{$p->unit->order->number}, {$p->unit->sculpt->name}, model $p->number",
                        'stage' => $p->stage,
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private function checked(CoreScheme $scheme, ?Order $order): array
    {
        $shelf = UnitPlans::shelf();
        $rows =
            $order === null
                ? Sculpt::query()->orderBy('id')->limit(24)->get()
                : $order->units()->with('sculpt')->orderBy('id')->get()->pluck('sculpt')->unique('id')->values();
        $sculpts = array_values($rows->map(UnitPlans::sculpt(...))->all());

        return [
            'slots' => array_map(
                fn (SlotCheck $s) => [
                    'slot' => $s->slot,
                    'colours' => self::colours($s->colours, $shelf),
                    'steps' => array_map(fn (?float $l) => $l === null ? null : round($l, 1), $s->steps),
                    'problems' => array_map(SchemeWords::problem(...), $s->problems),
                    'places' => array_map(fn (array $p) => "{$p[0]->name}: {$p[1]->name}", $s->places),
                ],
                SlotCheck::all($scheme, $sculpts, $shelf),
            ),
            'figures' => array_map(
                fn (CoreSculpt $s) => [
                    'name' => $s->name,
                    'frame_mm' => $s->frameMm ?? [60, 80],
                    'areas' => FigureShown::of($s, $scheme, $shelf),
                    'slots' => (object) array_filter(
                        array_combine(
                            array_map(fn (Area $a) => $a->key, $s->areas),
                            array_map(fn (Area $a) => $a->slot, $s->areas),
                        ),
                        fn (?string $slot) => $slot !== null,
                    ),
                ],
                $sculpts,
            ),
            'paints' => array_map(fn ($p) => ['name' => $p->name, 'hex' => $p->colour->hex()], $shelf->paints),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function colours(?AreaColours $colours, Shelf $shelf): ?array
    {
        if ($colours === null) {
            return null;
        }
        $paint = fn (?string $name): ?array => $name === null
            ? null
            : ['paint' => $name, 'hex' => $shelf->colourOf($name)?->hex()];

        return [
            'base' => $paint($colours->base),
            'shades' => array_map($paint, $colours->shades),
            'lights' => array_map($paint, $colours->lights),
            'tint' => $paint($colours->tint),
            'line' => $paint($colours->line),
            'patch' => $paint($colours->patch),
        ];
    }

    private function order(Request $request): ?Order
    {
        $id = $request->input('order');

        return is_numeric($id) ? Order::query()->findOrFail((int) $id) : null;
    }

    private function document(Request $request): stdClass
    {
        $body = Json::decode($request->getContent());
        $document = $body instanceof stdClass ? $body->document ?? null : null;
        if (! ($document instanceof stdClass)) {
            throw new Refusal('"document" must be an object.', '/document');
        }
        $document->format = SchemeFormat::WORD;

        return $document;
    }
}
