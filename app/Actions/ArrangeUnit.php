<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TierStatus;
use stdClass;

/** What is arranged for a unit or its order before it goes to the bench: amendments, its tier, the method. */
final class ArrangeUnit
{
    public function __construct(private readonly Planner $planner)
    {
    }

    /**
     * Adds an amendment at its level: to the studio, the order, the unit or one piece.
     *
     * @param  Piece|null  $piece  for the level piece
     */
    public function amend(Unit $unit, stdClass $amendment, int $revision, ?Piece $piece = null): Unit
    {
        return DB::transaction(function () use ($unit, $amendment, $revision, $piece): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $of = match ($amendment->level ?? null) {
                'studio' => [],
                'order' => ['order_id' => $unit->order_id],
                'unit' => ['unit_id' => $unit->id],
                'piece' => ['piece_id' => $piece->id ?? throw new Refusal('Say which model it is for.', '/piece')],
                default => throw new Refusal('The level must be studio, order, unit or piece.', '/amendment/level'),
            };
            if (isset($of['order_id'])) {
                $this->noneReleased($unit->order);
            }
            if (isset($of['piece_id']) && ($amendment->on ?? null) !== null) {
                throw new Refusal('An amendment of one model holds on that model alone.', '/amendment/on');
            }
            $standard = Standards::core($unit->order->version);
            try {
                AmendmentFormat::read(
                    [$amendment],
                    array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true),
                );
            } catch (FormatException $e) {
                throw new FormatException(
                    array_map(
                        fn ($p) => new \Ordotype\Core\Problem\Problem('/amendment'.substr($p->path, 2), $p->reason),
                        $e->problems,
                    ),
                );
            }
            $row = AmendmentRow::query()->create($of + ['body' => Json::encode($amendment), 'made_by' => Auth::id()]);
            // Whatever does not fit the tier is said here, and nothing of it is kept.
            UnitPlans::unitPlan($unit->refresh());
            ActivityLog::write('amendment.made', $row, null, Json::canonical($amendment));

            return $this->touch($unit);
        });
    }

    public function unamend(Unit $unit, int $amendment, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $amendment, $revision): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $row =
                UnitPlans::rows($unit)->firstWhere('id', $amendment) ??
                throw (new ModelNotFoundException())->setModel(AmendmentRow::class);
            if ($row->level() === 'order') {
                $this->noneReleased($unit->order);
            }
            ActivityLog::write('amendment.taken_back', $row, $row->body, null);
            if ($row->level() === 'studio') {
                // What was released under it is still held against it.
                $row->update(['ended_at' => now()]);
            } else {
                $row->delete();
            }

            return $this->touch($unit);
        });
    }

    /**
     * Moves the unit to another tier of its version of the standard. What was changed by hand stays where it still
     * can;
     * the rest is dropped and named.
     *
     * @return array{Unit, list<string>} the unit, and the areas whose changes by hand are gone
     */
    public function move(Unit $unit, string $tier, int $revision): array
    {
        return DB::transaction(function () use ($unit, $tier, $revision): array {
            $unit = UnitPlans::unreleased($unit, $revision);
            $standard = Standards::core($unit->order->version);
            if (! $standard->hasTier($tier) || $standard->tier($tier)->status === TierStatus::Retired) {
                throw new Refusal(
                    $standard->hasTier($tier)
                        ? "{$standard->tier($tier)->name} is retired."
                        : "There is no tier \"$tier\" in version {$unit->order->version->number}.",
                    '/tier',
                );
            }
            if ($standard->tier($tier)->status === TierStatus::Open) {
                throw new Refusal(
                    "{$standard->tier(
                        $tier,
                    )->name} is quoted by hand: agree it with the client in an order of its own.",
                    '/tier',
                );
            }
            $before = $unit->tier;
            $edits = $unit->edits ?? [];
            $unit->update(['tier' => $tier, 'edits' => null]);
            $plan = $this->planner->plan(
                UnitPlans::request($unit->refresh()->load(['order.version', 'order.scheme', 'sculpt'])),
            );
            [$edits, $gone] = UnitPlans::carried($plan, $edits);
            $unit->update(['edits' => $edits === [] ? null : $edits]);
            ActivityLog::write('unit.moved', $unit, ['tier' => $before], ['tier' => $tier, 'edits_gone' => $gone]);

            return [$this->touch($unit), $gone];
        });
    }

    /** The method of the whole order. */
    public function method(Unit $unit, stdClass $method, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $method, $revision): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $this->noneReleased($unit->order);
            $method->format = MethodFormat::WORD;
            MethodFormat::read($method);
            $before = $unit->order->method;
            $unit->order->update([
                'method' => count(get_object_vars($method)) === 1 ? null : Json::encode($method),
                'revision' => $unit->order->revision + 1,
            ]);
            ActivityLog::write('order.method', $unit->order, $before, Json::canonical($method));

            return $this->touch($unit);
        });
    }

    private function noneReleased(Order $order): void
    {
        if ($order->units()->whereNotNull('released_at')->exists()) {
            throw new Refusal(
                'Another unit of this order is on the bench: what holds for the whole order stays '.
                    'as it is. Amend the unit instead.',
                '',
                409,
            );
        }
    }

    private function touch(Unit $unit): Unit
    {
        $unit->update(['revision' => $unit->revision + 1]);

        return $unit->refresh();
    }
}
