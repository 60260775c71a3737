<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\AmendmentRow;
use App\Models\Unit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Standard;
use stdClass;

/** What was agreed beside the tier, at its level: for the studio, an order, a unit or one piece. */
final class Amendments
{
    /**
     * @return Collection<int, AmendmentRow> of the studio, the order, the unit and its pieces, in the order in which
     *     plans number them
     */
    public function rows(Unit $unit): Collection
    {
        $ids = fn () => DB::table('amendments')->select('id');
        $ofStudio = $ids()
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
        // Each by its own index: together in one condition they would have the whole table read.
        $all = $ofStudio
            ->union($ids()->where('order_id', $unit->order_id))
            ->union($ids()->where('unit_id', $unit->id))
            ->union($ids()->whereIn('piece_id', $unit->pieces->pluck('id')));

        return AmendmentRow::query()
            ->with('piece:id,number')
            ->whereIn('id', $all->pluck('id'))
            ->orderBy('id')
            ->get();
    }

    /**
     * @return array{list<Amendment>, array<int, list<Amendment>>} those of studio, order and unit; and those of
     *     single pieces by the piece's id
     */
    public function split(Unit $unit, Standard $standard): array
    {
        $rows = $this->rows($unit)->values();
        $read = $this->read($rows->map(fn (AmendmentRow $r) => Json::decode($r->body))->all(), $standard);
        $common = $ofPieces = [];
        foreach ($rows as $i => $row) {
            if ($row->piece_id === null) {
                $common[] = $read[$i];
            } else {
                $ofPieces[$row->piece_id][] = $read[$i];
            }
        }

        return [$common, $ofPieces];
    }

    /**
     * @param  array<int, mixed>  $documents  each `ordotype/amendment@1`
     * @return list<Amendment>
     *
     * @throws FormatException
     */
    public function read(array $documents, Standard $standard): array
    {
        return AmendmentFormat::read(array_values($documents), $standard->techniqueKeys());
    }

    /** @return list<array{price: string, reason: string}> what amendments of the unit add to its price, as agreed */
    public function agreedPrices(Unit $unit): array
    {
        $agreed = [];
        foreach ($this->rows($unit) as $row) {
            $amendment = Json::decode($row->body);
            if ($amendment instanceof stdClass && is_string($amendment->price ?? null)) {
                $agreed[] = ['price' => $amendment->price, 'reason' => (string) ($amendment->reason ?? '')];
            }
        }

        return $agreed;
    }
}
