<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Http\Resources\Orders\PieceBrief;
use App\Models\LotRow;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use App\Queries\Bench\UnitsOfStages;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ordotype\Core\Bench\Stage;

/** The units that have pieces to be looked at or to be signed, the most urgent first. */
final class ChecksListed
{
    public function __construct(private readonly UnitsOfStages $units)
    {
    }

    /** @return array{data: list<array<string, mixed>>, next_cursor: string|null} */
    public function page(?string $find, ?string $cursor): array
    {
        $wait = Stage::words(fn (Stage $s) => $s->waitsForCheck());
        [$units, $next] = $this->units->page('checks', $wait, false, $find, $cursor, [
            'pieces' => fn (HasMany $q) => $q->orderBy('number'),
            'pieces.checks:id,piece_id,round,verdict,closed_at',
        ]);

        $samples = self::samples(array_map(fn (Unit $u) => $u->id, $units));

        return [
            'data' => array_map(
                fn (Unit $u) => $this->units->brief($u) + [
                    'standard_version' => $u->order->version->number,
                    'sample' => $samples[$u->id] ?? null,
                    'pieces' => array_values($u->pieces->map($this->piece(...))->all()),
                ],
                $units,
            ),
            'next_cursor' => $next,
        ];
    }

    /**
     * @param  list<int>  $units
     * @return array<int, array{drawn: list<int>|null, verdict: string|null}> of those of which only some are checked
     */
    private static function samples(array $units): array
    {
        $in = ReleaseRow::query()
            ->whereIn('unit_id', $units)
            ->whereNull('taken_back_at')
            ->orderBy('number')
            ->pluck('is_sampled', 'unit_id');
        $lots = LotRow::query()->whereIn('unit_id', $in->filter()->keys())->orderBy('id')->get()->keyBy('unit_id');

        return $in
            ->filter()
            ->map(fn ($is, int $unit) => [
                'drawn' => $lots[$unit]->drawn ?? null,
                'verdict' => $lots[$unit]->verdict ?? null,
            ])
            ->all();
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        return (new PieceBrief($piece))->resolve() + [
            'rounds' => $piece->checks->count(),
            'open_check' => $piece->checks->whereNull('closed_at')->first()?->id,
        ];
    }
}
