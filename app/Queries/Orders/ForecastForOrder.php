<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\BatchRow;
use App\Models\Order;
use App\Models\Piece;
use App\Repositories\BatchStates;
use Ordotype\Core\Bench\Stage;

/** When an order is painted, as the batches of its models lie now. */
final class ForecastForOrder
{
    public function __construct(private readonly BatchStates $states)
    {
    }

    /** @return array<string, mixed> */
    public function of(Order $order): array
    {
        $pieces = Piece::query()
            ->whereIn('unit_id', $order->units()->pluck('id'))
            ->whereIn('stage', Stage::words(fn (Stage $s) => $s->isAtWork()))
            ->get(['id', 'unit_id', 'batch_id']);
        $units = [];
        foreach (BatchRow::query()->whereIn('id', $pieces->pluck('batch_id')->filter()->unique())->get() as $row) {
            $state = $this->states->of($row);
            foreach ($pieces->where('batch_id', $row->id)->pluck('unit_id')->unique() as $unit) {
                $finish = $state->finishOf($unit)?->startOfSecond()->toIso8601ZuluString();
                $units[$unit] = isset($units[$unit]) && $finish !== null ? max($units[$unit], $finish) : $finish;
            }
        }
        // Models that are in no batch are painted nobody knows when.
        $open = $pieces->whereNull('batch_id')->pluck('unit_id')->unique()->values()->all();
        $isKnown = $units !== [] && $open === [] && ! in_array(null, $units, true);

        return [
            'finish' => $isKnown ? max($units) : null,
            'units' => array_map(
                fn (int $unit, ?string $finish) => ['unit' => $unit, 'finish' => $finish],
                array_keys($units),
                array_values($units),
            ),
            'in_no_batch' => $open,
        ];
    }
}
