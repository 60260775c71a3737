<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Http\Resources\Orders\PieceBrief;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ordotype\Core\Bench\Stage;

/** The batches that have something to be done or looked at, the most urgent first. */
final class BatchesOnBench
{
    public function __construct(private readonly UnitsOfStages $units)
    {
    }

    /** @return array{data: list<array<string, mixed>>, next_cursor: string|null} */
    public function page(?string $find, ?string $cursor): array
    {
        $open = Stage::words(fn (Stage $s) => $s->isOnBench());
        [$units, $next] = $this->units->page('bench', $open, true, $find, $cursor, [
            'pieces' => fn (HasMany $q) => $q
                ->whereNotIn('stage', [Stage::Lost->value, Stage::Cancelled->value])
                ->orderBy('number')
                // What stands is in the index; what was painted over is not counted.
                ->withCount(['logs as done' => fn (Builder $logs) => $logs->whereNotNull('standing')]),
        ]);
        $releases = $this->releases($units);

        return [
            'data' => array_map(
                fn (Unit $u) => $this->units->brief($u) + [
                    'steps' => $releases[$u->id]->steps ?? 0,
                    'passes' => $releases[$u->id]->passes ?? 0,
                    'pieces' => array_values($u->pieces->map($this->piece(...))->all()),
                ],
                $units,
            ),
            'next_cursor' => $next,
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        return (new PieceBrief($piece))->resolve() + ['done' => (int) $piece->getAttribute('done')];
    }

    /**
     * @param  list<Unit>  $units
     * @return array<int, ReleaseRow> the one in force, by unit, without its document
     */
    private function releases(array $units): array
    {
        /** @var Collection<int, ReleaseRow> $rows */
        $rows = ReleaseRow::query()
            ->whereIn('unit_id', array_map(fn (Unit $u) => $u->id, $units))
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
