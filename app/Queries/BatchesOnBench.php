<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use App\Repositories\Standards;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Bench\Stage;

/** The batches that have something to be done or looked at, the most urgent first. */
final class BatchesOnBench
{
    private const OPEN = [Stage::Planned, Stage::OnBench, Stage::Rework, Stage::Offered];

    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        $open = array_map(fn (Stage $s) => $s->value, self::OPEN);
        $units = Unit::query()
            ->with([
                'order:id,number,title,due_on,standard_version_id',
                'order.version',
                'sculpt:id,name',
                'pieces' => fn ($q) => $q
                    ->whereNotIn('stage', [Stage::Lost->value, Stage::Cancelled->value])
                    ->orderBy('number')
                    ->withCount(['logs as done' => fn ($logs) => $logs->whereNull('covered_by')]),
            ])
            ->whereNotNull('released_at')
            ->whereHas('pieces', fn ($q) => $q->whereIn('stage', $open))
            ->get()
            ->sortBy(fn (Unit $u) => [$u->order->due_on->timestamp ?? PHP_INT_MAX, $u->id])
            ->values();
        $releases = $this->releases($units);

        return array_values(
            $units
                ->map(
                    fn (Unit $u) => [
                        'id' => $u->id,
                        'order_number' => $u->order->number,
                        'title' => $u->order->title,
                        'due_on' => $u->order->due_on?->format('Y-m-d'),
                        'sculpt' => $u->sculpt->name,
                        'tier' => $this->standards->core($u->order->version)->tier($u->tier)->name,
                        'steps' => $releases[$u->id]->steps ?? 0,
                        'passes' => $releases[$u->id]->passes ?? 0,
                        'pieces' => $u->pieces
                            ->map(
                                fn (Piece $p) => [
                                    'id' => $p->id,
                                    'number' => $p->number,
                                    'code' => $p->code,
                                    'stage' => $p->stage,
                                    'done' => (int) $p->getAttribute('done'),
                                ],
                            )
                            ->all(),
                    ],
                )
                ->all(),
        );
    }

    /**
     * @param  Collection<int, Unit>  $units
     * @return array<int, ReleaseRow> the one in force, by unit, without its document
     */
    private function releases(Collection $units): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, ReleaseRow> $rows */
        $rows = ReleaseRow::query()
            ->whereIn('unit_id', $units->pluck('id'))
            ->whereNull('taken_back_at')
            ->orderBy('number')
            ->get(['id', 'unit_id', 'number', 'steps', 'passes']);

        $byUnit = [];
        foreach ($rows as $row) {
            $byUnit[$row->unit_id] = $row;
        }

        return $byUnit;
    }
}
