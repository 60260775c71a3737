<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\Conflict;
use App\Exceptions\OrderRefused;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\ActivityLog;
use App\Studio\PieceCodes;
use App\Studio\UnitPrices;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\UnitPrice;

/** Changes a unit that is not on the bench: its name, price and number; splits it, or takes it off the order. */
final class ChangeUnit
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPrices $prices,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  array{label?: string|null, price?: string|null, ceiling?: string|null, count?: int}  $facts  only what
     *     changes
     */
    public function edit(Unit $unit, int $revision, array $facts): Unit
    {
        return DB::transaction(function () use ($unit, $revision, $facts): Unit {
            $unit->lockedOrder();
            $unit = isset($facts['count']) ? $this->open($unit, $revision) : $this->asSeen($unit, $revision);
            if (isset($facts['price'])) {
                $this->mustBeOnTheCard($unit, $facts['price']);
            }
            $before = $unit->only(['label', 'price', 'ceiling']) + ['count' => $unit->standing()->count()];
            $plain = array_diff_key($facts, ['count' => true]);
            $unit->update($plain + ['revision' => $revision + 1]);
            if (isset($facts['count'])) {
                $this->count($unit, $facts['count']);
            }
            $this->log->write('unit.changed', $unit, $before, $facts);

            return $unit->refresh();
        });
    }

    /** @param  list<int>  $ids  of the models that become a unit of their own */
    public function split(Unit $unit, int $revision, array $ids, ?string $label): Unit
    {
        return DB::transaction(function () use ($unit, $revision, $ids, $label): Unit {
            $unit->lockedOrder();
            $unit = $this->open($unit, $revision);
            $go = $unit->pieces->whereIn('id', $ids);
            if ($go->isEmpty() || $go->count() !== count($ids) || $go->count() === $unit->pieces->count()) {
                throw OrderRefused::notToSplit();
            }
            $new = $unit->replicate(['label', 'test_piece_id', 'revision', 'variants']);
            $new->fill(['label' => $label, 'revision' => 0])->save();
            foreach ($unit->amendments as $amendment) {
                $amendment->replicate()->fill(['unit_id' => $new->id])->save();
            }
            foreach ($go->values() as $i => $piece) {
                $piece->update(['unit_id' => $new->id, 'number' => $i + 1, 'revision' => $piece->revision + 1]);
            }
            $this->number($unit);
            $this->log->write('unit.split', $unit, null, ['into' => $new->id, 'pieces' => $ids]);

            return $new->refresh();
        });
    }

    /** Takes it off its order, with its models. */
    public function remove(Unit $unit, int $revision): void
    {
        DB::transaction(function () use ($unit, $revision): void {
            $unit->lockedOrder();
            $unit = $this->open($unit, $revision);
            foreach ($unit->pieces as $piece) {
                $this->mustBeNew($piece);
            }
            $this->log->write('unit.removed', $unit, $unit->only(['tier', 'label', 'sculpt_id']), null);
            $unit->amendments()->delete();
            $unit->receiving()->delete();
            Piece::query()->where('unit_id', $unit->id)->delete();
            $unit->delete();
        });
    }

    /** A price outside the card is no price of its tier: one below it is a discount, which has a reason. */
    private function mustBeOnTheCard(Unit $unit, string $price): void
    {
        $range = $this->prices->range($unit->loadMissing(['order.version', 'sculpt']));
        if (! UnitPrice::isWithin($range, Money::of($price))) {
            throw OrderRefused::notOnTheCard((string) $range?->low, $range?->high);
        }
    }

    private function count(Unit $unit, int $count): void
    {
        $there = $unit->pieces->values();
        foreach ($there->slice($count) as $piece) {
            $this->mustBeNew($piece);
            $piece->delete();
        }
        for ($number = $there->count() + 1; $number <= $count; $number++) {
            Piece::query()->create([
                'unit_id' => $unit->id,
                'number' => $number,
                'code' => PieceCodes::next(),
                'stage' => Stage::Planned->value,
            ]);
        }
    }

    /** Numbers its models anew, without gaps. */
    private function number(Unit $unit): void
    {
        foreach ($unit->pieces()->get()->values() as $i => $piece) {
            $piece->update(['number' => $i + 1]);
        }
        $unit->update(['revision' => $unit->revision + 1]);
    }

    /** What something was written down of stays. */
    private function mustBeNew(Piece $piece): void
    {
        if (
            $piece->stage !== Stage::Planned->value ||
            $piece->logs()->exists() ||
            $piece->checks()->exists() ||
            $piece->photographs()->exists()
        ) {
            throw OrderRefused::pieceHasHistory($piece->code);
        }
    }

    private function open(Unit $unit, int $revision): Unit
    {
        return $this->units->unreleased($unit, $revision);
    }

    private function asSeen(Unit $unit, int $revision): Unit
    {
        $unit = Unit::query()->with('pieces')->lockForUpdate()->findOrFail($unit->id);

        return $unit->revision === $revision ? $unit : throw Conflict::unit($unit);
    }
}
