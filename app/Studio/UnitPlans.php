<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Paint;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Repositories\Releases;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Amendment\Amendment;
use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Choice\Choice;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Paint as CorePaint;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Unit\PieceNeeds;
use Ordotype\Core\Unit\UnitPlan;
use OutOfBoundsException;

/** Plans units from what the database holds. */
final class UnitPlans
{
    public static function sculpt(Sculpt $sculpt): CoreSculpt
    {
        return SculptFormat::read(Json::decode($sculpt->document));
    }

    public static function scheme(?Scheme $scheme): ?\Ordotype\Core\Colour\Scheme
    {
        return $scheme === null ? null : SchemeFormat::read(Json::decode($scheme->document));
    }

    /** The colours of a unit: of its order's scheme, once it is on the bench in the version it was released with. */
    public static function schemeOf(Unit $unit): ?\Ordotype\Core\Colour\Scheme
    {
        $scheme = $unit->order->scheme;
        if ($scheme === null || $unit->scheme_number === null || $unit->scheme_number === $scheme->number) {
            return self::scheme($scheme);
        }

        return SchemeFormat::read(
            Json::decode($scheme->versions()->where('number', $unit->scheme_number)->firstOrFail()->document),
        );
    }

    public static function method(Order $order): Method
    {
        return $order->method === null ? new Method() : MethodFormat::read(Json::decode($order->method));
    }

    public static function shelf(): Shelf
    {
        return new Shelf(
            Paint::query()
                ->orderBy('id')
                ->get()
                ->map(
                    fn (Paint $p) => new CorePaint(
                        $p->name,
                        $p->kind,
                        Srgb::fromHex($p->hex),
                        Hiding::from($p->hiding),
                        (float) $p->ml,
                    ),
                )
                ->values()
                ->all(),
        );
    }

    /** What a piece that differs in nothing is planned from. */
    public static function request(Unit $unit): PlanRequest
    {
        $order = $unit->order;
        $standard = Standards::core($order->version);

        $tier = $standard->tier($unit->tier);
        $aim = Aim::tryFrom($unit->arrangement['aim'] ?? '');

        return new PlanRequest(
            $standard,
            $aim === null ? $tier : $tier->aimingAt($aim),
            self::sculpt($unit->sculpt),
            self::schemeOf($unit),
            self::method($order),
            self::amendments($unit, $standard)[0],
            self::shelf(),
            max(1, self::pieces($unit)->count()),
            UnitArrangement::of($unit),
        );
    }

    /** @return Collection<int, Piece> those that are still to be delivered, by number */
    public static function pieces(Unit $unit): Collection
    {
        return $unit->pieces
            ->whereNotIn('stage', ['lost', 'cancelled'])
            ->sortBy('number')
            ->values();
    }

    /**
     * The unit, locked for a change of its plan; to be called within a transaction.
     *
     * @throws Refusal when it is on the bench
     * @throws Conflict when somebody else has changed it since
     */
    public static function unreleased(Unit $unit, int $revision): Unit
    {
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'sculpt', 'pieces'])
            ->lockForUpdate()
            ->findOrFail($unit->id);
        if ($unit->released_at !== null) {
            throw new Refusal('This unit is on the bench already: its plan stays as it was released.', '', 409);
        }
        if ($unit->revision !== $revision) {
            throw new Conflict('Somebody else has changed this plan in the meantime.', [
                'revision' => $unit->revision,
                'edits' => $unit->edits,
            ]);
        }

        return $unit;
    }

    /** The plan of a piece that differs in nothing, or of the most frequent kind of piece. */
    public static function plan(Unit $unit): Plan
    {
        return self::unitPlan($unit)->plain();
    }

    /** What the unit's pieces are painted by: on the bench as it was released, before that as it is planned now. */
    public static function inForce(Unit $unit): UnitPlan
    {
        $release = $unit->released_at === null ? null : app(Releases::class)->find($unit);

        return $release === null ? self::unitPlan($unit) : $release->plan;
    }

    /** The plans of all pieces of a unit, worked out now; those that are alike share one. */
    public static function unitPlan(Unit $unit): UnitPlan
    {
        $request = self::request($unit);
        [, $ofPieces] = self::amendments($unit, $request->standard);
        $needs = array_values(
            self::pieces($unit)
                ->map(
                    fn (Piece $p) => new PieceNeeds(
                        $p->number,
                        array_values($p->lacks ?? []),
                        $ofPieces[$p->id] ?? [],
                        $p->edits === null || $p->edits === [] ? [] : self::choices($request, $p->edits),
                    ),
                )
                ->all(),
        );
        $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, $request->standard->techniques), true);
        $documents = UnitArrangement::variantDocuments($unit);

        return UnitPlan::of(
            $request,
            $needs,
            $documents === [] ? [] : UnitArrangement::variants($documents, $known),
            $unit->edits === null || $unit->edits === [] ? [] : self::choices($request, $unit->edits),
            app(Planner::class),
        );
    }

    /**
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits
     * @return array<string, Choice>
     *
     * @throws Refusal when an edit names what is not there
     */
    public static function choices(PlanRequest $request, array $edits): array
    {
        $method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);
        $choices = [];
        foreach ($edits as $key => $list) {
            if (! $request->sculpt->has((string) $key)) {
                throw new Refusal("\"$key\" is not an area of {$request->sculpt->name}.", "/edits/$key");
            }
            $area = $request->sculpt->area((string) $key);
            $chosen = [];
            foreach ($list as $i => $edit) {
                try {
                    $technique = $request->standard->technique($edit['technique']);
                } catch (OutOfBoundsException $e) {
                    throw new Refusal($e->getMessage(), "/edits/$key/$i/technique");
                }
                if ($technique->whole) {
                    throw new Refusal(
                        "$technique->name is done on the whole model, not on an area.",
                        "/edits/$key/$i/technique",
                    );
                }
                $extent = Extent::named($edit['extent']) ?? Extent::Full;
                $index = (int) array_search($technique, $request->standard->techniques, true);
                $minutes = Candidate::onArea(
                    $technique,
                    $index,
                    $area,
                    $request->sculpt,
                    $request->tier->pace,
                    $method,
                )->minutes[$extent->value];
                $chosen[$index] = new ChosenTechnique(
                    $technique,
                    $index,
                    max(1, min($technique->maxPasses, $edit['passes'])),
                    $extent,
                    $minutes,
                );
            }
            ksort($chosen);
            $choices[(string) $key] = new Choice(array_values($chosen));
        }

        return $choices;
    }

    /**
     * Changes made by hand, as far as they still apply to another plan: an area with a technique that is not allowed
     * there is left to the planner.
     *
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits
     * @return array{array<string, list<array{technique: string, passes: int, extent: string}>>, list<string>} what
     *     is carried over, and the names of the areas that are not
     */
    public static function carried(Plan $plan, array $edits): array
    {
        $gone = [];
        foreach ($edits as $area => $list) {
            if (! $plan->request->sculpt->has((string) $area)) {
                unset($edits[$area]);

                continue;
            }
            $planned = $plan->areas[$plan->request->sculpt->place((string) $area)];
            foreach ($list as $edit) {
                // What is sprayed is allowed by the clause about sprayed colours, not by name.
                if (
                    ! isset($planned->demand->allowed[$edit['technique']]) &&
                    $planned->choice?->uses($edit['technique']) !== true
                ) {
                    $gone[] = $plan->request->sculpt->area((string) $area)->name;
                    unset($edits[$area]);
                    break;
                }
            }
        }

        return [$edits, $gone];
    }

    /**
     * @return Collection<int, AmendmentRow> of the studio, the order, the unit and its pieces, in the order in which
     * plans number them
     */
    public static function rows(Unit $unit): Collection
    {
        $ofStudio = fn ($q) => $q
            ->whereNull('order_id')
            ->whereNull('unit_id')
            ->whereNull('piece_id')
            // What is on the bench keeps what held when it was released.
            ->where(
                fn ($q) => $unit->released_at === null
                    ? $q->whereNull('ended_at')
                    : $q
                        ->where('created_at', '<=', $unit->released_at)
                        ->where(fn ($q) => $q->whereNull('ended_at')->orWhere('ended_at', '>', $unit->released_at)),
            );

        return AmendmentRow::query()
            ->with('piece:id,number')
            ->where($ofStudio)
            ->orWhere('order_id', $unit->order_id)
            ->orWhere('unit_id', $unit->id)
            ->orWhereIn('piece_id', $unit->pieces->pluck('id'))
            ->orderBy('id')
            ->get();
    }

    /** @return list<Amendment> all of {@see rows}, in that order */
    public static function readAmendments(Unit $unit): array
    {
        $standard = Standards::core($unit->order->version);
        $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true);

        return AmendmentFormat::read(
            self::rows($unit)->map(fn (AmendmentRow $r) => Json::decode($r->body))->values()->all(),
            $known,
        );
    }

    /**
     * @return array{list<Amendment>, array<int, list<Amendment>>} those of studio, order and unit; and those of
     *     single pieces by piece
     */
    public static function amendments(Unit $unit, Standard $standard): array
    {
        $rows = self::rows($unit);
        $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true);
        $read = AmendmentFormat::read(
            $rows->map(fn (AmendmentRow $r) => Json::decode($r->body))->values()->all(),
            $known,
        );
        $common = $ofPieces = [];
        foreach ($rows->values() as $i => $row) {
            if ($row->piece_id === null) {
                $common[] = $read[$i];
            } else {
                $ofPieces[$row->piece_id][] = $read[$i];
            }
        }

        return [$common, $ofPieces];
    }
}
