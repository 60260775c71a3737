<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Paint;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\Unit;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Amendment\Amendment;
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
use Ordotype\Core\Planning\Candidate;
use Ordotype\Core\Planning\Choice;
use Ordotype\Core\Planning\ChosenTechnique;
use Ordotype\Core\Planning\MethodOnModel;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
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

    public static function method(Order $order): Method
    {
        return $order->method === null ? new Method : MethodFormat::read(Json::decode($order->method));
    }

    public static function shelf(): Shelf
    {
        return new Shelf(Paint::query()->orderBy('id')->get()
            ->map(fn (Paint $p) => new CorePaint($p->name, $p->kind, Srgb::fromHex($p->hex), Hiding::from($p->hiding), (float) $p->ml))->values()->all());
    }

    public static function request(Unit $unit): PlanRequest
    {
        $order = $unit->order;
        $standard = Standards::core($order->version);

        return new PlanRequest($standard, $standard->tier($unit->tier), self::sculpt($unit->sculpt), self::scheme($order->scheme), self::method($order),
            self::amendments($unit, $standard), self::shelf(), max(1, $unit->pieces()->whereNotIn('stage', ['lost', 'cancelled'])->count()));
    }

    /**
     * The unit, locked for a change of its plan; to be called within a transaction.
     *
     * @throws Refusal when it is on the bench
     * @throws Conflict when somebody else has changed it since
     */
    public static function unreleased(Unit $unit, int $revision): Unit
    {
        $unit = Unit::query()->with(['order.version', 'order.scheme', 'sculpt'])->lockForUpdate()->findOrFail($unit->id);
        if ($unit->released_at !== null) {
            throw new Refusal('This unit is on the bench already: its plan stays as it was released.', '', 409);
        }
        if ($unit->revision !== $revision) {
            throw new Conflict('Somebody else has changed this plan in the meantime.', ['revision' => $unit->revision, 'edits' => $unit->edits]);
        }

        return $unit;
    }

    public static function plan(Unit $unit): Plan
    {
        $plan = Planner::plan(self::request($unit));

        return $unit->edits === null || $unit->edits === [] ? $plan : Planner::withEdits($plan, self::choices($plan, $unit->edits));
    }

    /**
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits
     * @return array<string, Choice>
     *
     * @throws Refusal when an edit names what is not there
     */
    public static function choices(Plan $plan, array $edits): array
    {
        $request = $plan->request;
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
                    throw new Refusal("$technique->name is done on the whole model, not on an area.", "/edits/$key/$i/technique");
                }
                $extent = Extent::named($edit['extent']) ?? Extent::Full;
                $index = (int) array_search($technique, $request->standard->techniques, true);
                $minutes = Candidate::onArea($technique, $index, $area, $request->sculpt, $request->tier->pace, $method)->minutes[$extent->value];
                $chosen[$index] = new ChosenTechnique($technique, $index, max(1, min($technique->maxPasses, $edit['passes'])), $extent, $minutes);
            }
            ksort($chosen);
            $choices[(string) $key] = new Choice(array_values($chosen));
        }

        return $choices;
    }

    /** @return Collection<int, AmendmentRow> in the order in which plans number them */
    public static function rows(Unit $unit): Collection
    {
        return AmendmentRow::query()->where('order_id', $unit->order_id)->orWhere('unit_id', $unit->id)->orderBy('id')->get();
    }

    /** @return list<Amendment> */
    public static function amendments(Unit $unit, Standard $standard): array
    {
        $rows = self::rows($unit);
        $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true);

        return AmendmentFormat::read($rows->map(fn (AmendmentRow $r) => Json::decode($r->body))->values()->all(), $known);
    }
}
