<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Standards;

/** The units that have pieces to be looked at or to be signed. */
final class ChecksListed
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        $units = Unit::query()
            ->with([
                'order:id,number,title,due_on,standard_version_id',
                'order.version',
                'sculpt:id,name',
                'pieces' => fn ($q) => $q->orderBy('number'),
                'pieces.checks:id,piece_id,round,verdict,closed_at',
            ])
            ->whereHas('pieces', fn ($q) => $q->whereIn('stage', ['offered', 'rework', 'passed', 'signed']))
            ->orderBy('id')
            ->get();

        return array_values($units->map($this->unit(...))->all());
    }

    /** @return array<string, mixed> */
    private function unit(Unit $unit): array
    {
        return [
            'id' => $unit->id,
            'order_number' => $unit->order->number,
            'title' => $unit->order->title,
            'sculpt' => $unit->sculpt->name,
            'tier' => $this->standards->core($unit->order->version)->tier($unit->tier)->name,
            'standard_version' => $unit->order->version->number,
            'pieces' => array_values(
                $unit->pieces
                    ->map(
                        fn (Piece $p) => [
                            'id' => $p->id,
                            'number' => $p->number,
                            'code' => $p->code,
                            'stage' => $p->stage,
                            'rounds' => $p->checks->count(),
                            'open_check' => $p->checks->whereNull('closed_at')->first()?->id,
                        ],
                    )
                    ->all(),
            ),
        ];
    }
}
