<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditStandard;
use App\Formats\Amounts;
use App\Models\Order;
use App\Models\Sculpt;
use App\Models\Studio;
use App\Models\Unit;
use App\Studio\Conflict;
use App\Studio\LadderView;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Choice\Conflict as PlanConflict;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\EditClash;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\RequirementChange;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Money\Money;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\PlanWords;
use stdClass;

/** The draft of the standard: opened, edited, tried on a figure before an edit is kept, published. */
final class DraftController
{
    public function __construct(private readonly Planner $planner)
    {
    }

    public function open(Request $request, EditStandard $edit): JsonResponse
    {
        return new JsonResponse(LadderView::of($edit->open(), $request->user()), 201);
    }

    public function write(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate([
            'tier' => ['required', 'string', 'max:64'],
            'revision' => ['required', 'integer', 'min:0'],
            'clause' => ['required', 'array'],
        ]);
        $clause = self::body($request)->clause ?? null;
        $row = $edit->write(
            $given['tier'],
            $clause instanceof stdClass
                ? Amounts::in($clause)
                : throw new Refusal('The clause must be an object.', '/clause'),
            (int) $given['revision'],
        );

        return new JsonResponse([
            'tier' => $row->tier,
            'clause' => Json::decode($row->body),
            'revision' => $row->revision,
            'draft_revision' => $row->version()->value('revision'),
        ]);
    }

    public function remove(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate([
            'tier' => ['required', 'string'],
            'clause' => ['required', 'string'],
            'revision' => ['required', 'integer'],
        ]);
        $edit->remove($given['tier'], $given['clause'], (int) $given['revision']);

        return new JsonResponse(null, 204);
    }

    /** Several changes at once, each from what it was to what it is to be. */
    public function change(Request $request, EditStandard $edit): JsonResponse
    {
        $edits = $this->edits($request);
        [$draft, $made, $notOffered] = $edit->change(
            $edits === [] ? throw new Refusal('There is nothing to change.', '/changes') : $edits,
        );

        return new JsonResponse([
            'draft_revision' => $draft->revision,
            'changes' => array_map(
                fn (DocumentEdit $e) => [
                    'what' => $e->what,
                    'tier' => $e->tier,
                    'before' => $e->before,
                    'after' => $e->after,
                ],
                $made,
            ),
            'not_offered' => $notOffered,
        ]);
    }

    public function publish(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'note' => ['required', 'string', 'max:2000'],
        ]);

        return new JsonResponse(
            LadderView::of($edit->publish((int) $given['revision'], $given['note']), $request->user()),
            201,
        );
    }

    public function discard(Request $request, EditStandard $edit): JsonResponse
    {
        $edit->discard((int) $request->validate(['revision' => ['required', 'integer']])['revision']);

        return new JsonResponse(null, 204);
    }

    /**
     * What changes that are not kept yet do to a figure: minutes before and after, and what is asked for more or less.
     */
    public function attempt(Request $request): JsonResponse
    {
        $given = $request->validate([
            'tier' => ['required', 'string'],
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
            'changes' => ['present', 'array'],
        ]);
        [$before, $after] = $this->tried($request);
        $after->hasTier($given['tier']) || throw new Refusal("There is no tier \"{$given['tier']}\".", '/tier');
        $sculpt = UnitPlans::sculpt(Sculpt::query()->where('slug', $given['sculpt'])->firstOrFail());
        $plan = fn (Standard $standard) => $this->planner->plan(
            new PlanRequest($standard, $standard->tier($given['tier']), $sculpt),
        );
        $to = $plan($after);
        $difference = new TierDifference(
            $before === $after || ! $before->hasTier($given['tier']) ? $to : $plan($before),
            $to,
        );
        [$price, $now] = $difference->prices();
        $ceiling = $to->whole->demand->ofModel(RequirementKind::Minutes);
        $words = new PlanWords($to->request);

        return new JsonResponse([
            'sculpt' => $sculpt->name,
            'tier' => $after->tier($given['tier'])->name,
            'before' => round($difference->from->minutesByPasses(), 2),
            'after' => round($to->minutesByPasses(), 2),
            'steps_before' => count($difference->from->work->steps),
            'steps_after' => count($to->work->steps),
            'ceiling' => $ceiling?->max,
            'price' => $now === null
                    ? null
                    : ['low' => $now->low, 'high' => $now->high, 'currency' => $after->currency],
            'price_before' => $price === null
                    ? null
                    : ['low' => $price->low, 'high' => $price->high, 'currency' => $after->currency],
            'changes' => array_map(function (RequirementChange $c) use ($sculpt, $words): array {
                $any = $c->after ?? $c->before;

                return [
                    'change' => $c->trend->value,
                    'area' => $any?->area === null ? null : $sculpt->area($any->area)->name,
                    'what' => $any === null ? '' : $words->subject($any),
                ];
            }, $difference->changes),
            'areas' => array_map(
                fn (string $key, array $m) => [
                    'area' => $sculpt->area($key)->name,
                    'before' => is_nan($m[0]) ? null : round($m[0], 2),
                    'after' => is_nan($m[1]) ? null : round($m[1], 2),
                ],
                array_keys($difference->areaMinutes()),
                array_values($difference->areaMinutes()),
            ),
            'conflicts' => array_map(
                fn (PlanConflict $c) => [
                    'area' => $c->area?->key,
                    'clauses' => Reason::ids($c->reasons),
                    'reason' => $words->conflict($c),
                ],
                $to->conflicts(),
            ),
        ]);
    }

    /**
     * Whether the ladder still holds after the changes, and what they would do to open orders if those were moved on.
     */
    public function consequences(Request $request): JsonResponse
    {
        [, $after] = $this->tried($request);
        $figures = Sculpt::query()->orderBy('id')->get();
        $units = [];
        $open = Unit::query()
            ->whereNull('released_at')
            ->whereHas('order', fn ($q) => $q->whereNotIn('status', Order::FINISHED))
            ->with(['order.version', 'order.scheme', 'sculpt', 'pieces'])
            ->orderBy('id')
            ->limit(40)
            ->get();
        foreach ($open as $unit) {
            if (! $after->hasTier($unit->tier)) {
                continue;
            }
            $request = UnitPlans::request($unit);
            $now = $this->planner->plan($request)->minutesByPasses();
            $moved = fn (array $amendments) => $this->planner
                ->plan(
                    new PlanRequest(
                        $after,
                        $after->tier($unit->tier),
                        $request->sculpt,
                        $request->scheme,
                        $request->method,
                        $amendments,
                        $request->shelf,
                        $request->pieces,
                    ),
                )
                ->minutesByPasses();
            try {
                $then = $moved($request->amendments);
            } catch (FormatException) {
                // An amendment of the unit names a clause that the changed tier has no more: it would go.
                $then = $moved([]);
            }
            $units[] = [
                'unit' => $unit->id,
                'order' => $unit->order->number,
                'label' => "{$request->pieces} × {$request->sculpt->name}",
                'tier' => $after->tier($unit->tier)->name,
                'version' => $unit->order->version->number,
                'before' => round($now, 1),
                'after' => round($then, 1),
            ];
        }

        return new JsonResponse([
            'lint' => array_map(
                fn (Finding $f) => LadderView::finding($f, $after),
                (new Lint(
                    $after,
                    $figures->map(UnitPlans::sculpt(...))->values()->all(),
                    Money::of(Studio::row()->hourly_rate),
                    $this->planner,
                ))->findings(),
            ),
            'units' => $units,
            'on_bench' => Unit::query()
                ->whereNotNull('released_at')
                ->whereHas('order', fn ($q) => $q->whereNotIn('status', Order::FINISHED))
                ->count(),
        ]);
    }

    /** @return array{Standard, Standard} the open version as it is, and with the changes that were sent */
    private function tried(Request $request): array
    {
        $version = Standards::draft() ?? Standards::current();
        $before = Standards::core($version);
        $edits = $this->edits($request);
        if ($edits === []) {
            return [$before, $before];
        }
        try {
            return [$before, StandardFormat::read(DocumentEdits::apply(Standards::document($version), $edits))];
        } catch (EditClash $e) {
            throw new Conflict($e->getMessage(), ['change' => $e->place, 'current' => $e->current]);
        }
    }

    /** @return list<DocumentEdit> */
    private function edits(Request $request): array
    {
        $request->validate([
            'changes' => ['present', 'array', 'max:500'],
            'changes.*.what' => ['required', 'in:clause,tier,technique,price'],
            'changes.*.tier' => ['nullable', 'string'],
            'changes.*.before' => ['nullable', 'array'],
            'changes.*.after' => ['nullable', 'array'],
        ]);
        $edits = [];
        foreach (self::body($request)->changes ?? [] as $change) {
            $edits[] = new DocumentEdit(
                $change->what,
                $change->tier ?? null,
                self::thing($change->before ?? null),
                Amounts::in(self::thing($change->after ?? null)),
            );
        }

        return $edits;
    }

    private static function thing(mixed $value): ?stdClass
    {
        return $value instanceof stdClass ? $value : null;
    }

    /** The request as JSON with objects kept as objects. */
    private static function body(Request $request): stdClass
    {
        $body = Json::decode($request->getContent());

        return $body instanceof stdClass ? $body : new stdClass();
    }
}
