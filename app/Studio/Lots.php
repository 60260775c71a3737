<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\LotRow;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Unit;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Switching;

/** What a sample of a unit is drawn from. */
final class Lots
{
    /** Whether the painter's next lot is looked at more strictly. */
    public static function isTightened(?int $painter): bool
    {
        $before = LotRow::query()
            ->where('painter_id', $painter)
            ->where('verdict', '!=', 'open')
            ->orderBy('id')
            ->pluck('verdict')
            ->map(fn ($v) => $v === 'accepted');

        return $painter !== null && Switching::isTightened(array_values($before->all()));
    }

    /** @return list<int> numbers of the pieces that wait and have not been looked at yet */
    public static function offered(Unit $unit): array
    {
        return array_values(
            Piece::query()
                ->where('unit_id', $unit->id)
                ->where('stage', Stage::Offered->value)
                ->whereDoesntHave('checks', fn ($q) => $q->whereNotNull('closed_at'))
                ->orderBy('number')
                ->pluck('number')
                ->map(fn ($n) => (int) $n)
                ->all(),
        );
    }

    /** @return int|null who has most minutes on the unit */
    public static function painter(Unit $unit): ?int
    {
        $most = StepLog::query()
            ->whereIn('piece_id', Piece::query()->where('unit_id', $unit->id)->select('id'))
            ->whereNull('skipped')
            ->selectRaw('user_id, sum(coalesce(minutes, planned_minutes)) as spent')
            ->groupBy('user_id')
            ->orderByDesc('spent')
            ->orderBy('user_id')
            ->first();

        return $most?->user_id;
    }
}
