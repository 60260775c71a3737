<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Studio;
use App\Models\Unit;
use App\Studio\UnitPrices;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\OwedLine;

/** What a client owes when an order ends early: signed models at their price, begun ones by the minutes spent. */
final class OwedOnOrder
{
    public function __construct(private readonly UnitPrices $prices)
    {
    }

    /** @return array{lines: list<array<string, mixed>>, total: string} */
    public function of(Order $order): array
    {
        $order->loadMissing(['units.pieces', 'units.sculpt', 'version']);
        $rate = Money::of(Studio::row()->hourly_rate);
        $lines = [];
        $total = Money::none();
        foreach ($order->units as $unit) {
            $line = $this->line($unit->setRelation('order', $order), $rate);
            $total = $total->plus($line->sum);
            $lines[] = [
                'unit' => $line->unit,
                'signed' => $line->signed,
                'price' => $line->price->decimal(),
                'minutes' => round($line->minutes, 1),
                'sum' => $line->sum->decimal(),
            ];
        }

        return ['lines' => $lines, 'total' => $total->decimal()];
    }

    private function line(Unit $unit, Money $rate): OwedLine
    {
        $isSigned = fn (Piece $p): bool => Stage::from($p->stage)->isClosed();
        $begun = $unit->pieces->reject($isSigned)->modelKeys();
        // What was not timed is taken at what it was planned at.
        $minutes = DB::table('step_logs')
            ->whereIn('piece_id', $begun)
            ->whereNull('skipped')
            ->whereNull('undoes')
            ->whereNull('undone_by')
            ->sum(DB::raw('coalesce(spent, planned_minutes)'));
        $price = $unit->agreed_price !== null ? Money::of($unit->agreed_price) : $this->prices->ofPiece($unit);
        $name = $unit->sculpt->name.($unit->label === null ? '' : ", $unit->label");

        $signed = $unit->pieces->filter($isSigned)->count();

        return new OwedLine($name, $signed, $price ?? Money::none(), (float) $minutes, $rate);
    }
}
