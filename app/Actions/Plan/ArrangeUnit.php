<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Exceptions\AmendmentRefused;
use App\Exceptions\Conflict;
use App\Exceptions\TierRefused;
use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Amendments;
use App\Repositories\Standards;
use App\Repositories\Units;
use App\Studio\ActivityLog;
use App\Studio\UnitPlans;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\TierStatus;
use stdClass;

/** What is arranged for a unit or its order before it goes to the bench: amendments, its tier, the method. */
final class ArrangeUnit
{
    public function __construct(
        private readonly Planner $planner,
        private readonly Units $units,
        private readonly Standards $standards,
        private readonly UnitPlans $plans,
        private readonly ActivityLog $log,
        private readonly Amendments $amendments,
    ) {
    }

    /**
     * Adds an amendment at its level: to the studio, the order, the unit or one piece.
     *
     * @param  Piece|null  $piece  for the level piece
     */
    public function amend(Unit $unit, stdClass $amendment, int $revision, ?Piece $piece = null): Unit
    {
        return DB::transaction(function () use ($unit, $amendment, $revision, $piece): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $of = match ($amendment->level ?? null) {
                'studio' => [],
                'order' => ['order_id' => $unit->order_id],
                'unit' => ['unit_id' => $unit->id],
                'piece' => ['piece_id' => $piece->id ?? throw AmendmentRefused::noPieceNamed()],
                default => throw AmendmentRefused::unknownLevel(),
            };
            if (isset($of['order_id'])) {
                $this->noneReleased($unit->order->locked());
            }
            if (isset($of['piece_id']) && ($amendment->on ?? null) !== null) {
                throw AmendmentRefused::pieceNamesPieces();
            }
            $standard = $this->standards->core($unit->order->version);
            try {
                AmendmentFormat::read([$amendment], $standard->techniqueKeys());
            } catch (FormatException $e) {
                throw new FormatException(
                    array_map(
                        fn ($p) => new \Ordotype\Core\Foundation\Problem('/amendment'.substr($p->path, 2), $p->reason),
                        $e->problems,
                    ),
                );
            }
            $row = AmendmentRow::query()->create($of + ['body' => Json::encode($amendment), 'made_by' => Auth::id()]);
            // Whatever does not fit the tier is said here, and nothing of it is kept.
            $this->plans->unitPlan($unit->refresh());
            $this->log->write('amendment.made', $row, null, CanonicalJson::encode($amendment));

            return $this->touch($unit);
        });
    }

    public function unamend(Unit $unit, int $amendment, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $amendment, $revision): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $row =
                $this->amendments->rows($unit)->firstWhere('id', $amendment) ??
                throw (new ModelNotFoundException())->setModel(AmendmentRow::class);
            if ($row->level() === 'order') {
                $this->noneReleased($unit->order->locked());
            }
            $this->log->write('amendment.taken_back', $row, $row->body, null);
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
            $unit = $this->units->unreleased($unit, $revision);
            $standard = $this->standards->core($unit->order->version);
            if (! $standard->hasTier($tier)) {
                throw TierRefused::noSuchTier($tier, '/tier', $unit->order->version->number);
            }
            if ($standard->tier($tier)->status === TierStatus::Retired) {
                throw TierRefused::retired($standard->tier($tier));
            }
            $now = $this->plans->request($unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt']));
            if ($now->at($standard->tier($tier))->isQuotedByHand()) {
                throw TierRefused::quotedByHand($standard->tier($tier));
            }
            $before = $unit->tier;
            $edits = $unit->edits ?? [];
            $unit->update(['tier' => $tier, 'edits' => null]);
            $unit->refresh()->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt']);
            $plan = $this->planner->plan($this->plans->request($unit));
            [$edits, $gone] = $this->plans->carried($plan, $edits);
            $unit->update(['edits' => $edits === [] ? null : $edits]);
            $this->log->write('unit.moved', $unit, ['tier' => $before], ['tier' => $tier, 'edits_gone' => $gone]);

            return [$this->touch($unit), $gone];
        });
    }

    /**
     * The method of the whole order.
     *
     * @param  int  $orderRevision  of the order as it was looked at
     *
     * @throws Conflict when somebody has changed the order since, be it from another of its units
     */
    public function method(Unit $unit, stdClass $method, int $revision, int $orderRevision): Unit
    {
        return DB::transaction(function () use ($unit, $method, $revision, $orderRevision): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $order = $unit->order->locked();
            if ($order->revision !== $orderRevision) {
                throw Conflict::order($order);
            }
            $this->noneReleased($order);
            $method->format = MethodFormat::WORD;
            MethodFormat::read($method);
            $before = $order->method;
            $order->update([
                'method' => count(get_object_vars($method)) === 1 ? null : Json::encode($method),
                'revision' => $orderRevision + 1,
            ]);
            $this->log->write('order.method', $order, $before, CanonicalJson::encode($method));

            return $this->touch($unit);
        });
    }

    private function noneReleased(Order $order): void
    {
        if ($order->units()->whereNotNull('released_at')->exists()) {
            throw AmendmentRefused::orderPartlyOnTheBench();
        }
    }

    private function touch(Unit $unit): Unit
    {
        $unit->update(['revision' => $unit->revision + 1]);

        return $unit->refresh();
    }
}
