<?php

declare(strict_types=1);

namespace App\Actions\Schemes;

use App\Models\Paint;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Colour\Paint as CorePaint;
use Ordotype\Core\Format\PaintTable;

/** Puts the paints of a table on the shelf; a pot that stands there already stays as it is. */
final class ShelveTable
{
    /** A rack of plain colours to begin with. */
    public const STARTER = 'starter/rack.csv';

    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  array<string, string>  $columns  by field, the header that holds it, where somebody said so
     */
    public function read(string $text, array $columns = []): PaintTable
    {
        return PaintTable::read($text, Paint::KINDS, $columns);
    }

    /** @return list<CorePaint> those that the shelf does not have */
    public function missing(PaintTable $table): array
    {
        $there = Paint::query()->pluck('name')->map(fn (string $name) => mb_strtolower($name))->flip();

        return array_values(
            array_filter($table->paints, fn (CorePaint $p) => ! $there->has(mb_strtolower($p->name))),
        );
    }

    /** @return int how many were put there */
    public function __invoke(PaintTable $table): int
    {
        return DB::transaction(function () use ($table): int {
            $added = 0;
            foreach ($this->missing($table) as $paint) {
                // Somebody else may put the same pot there at the same moment.
                $row = Paint::query()->firstOrCreate(['name' => $paint->name], [
                    'kind' => $paint->kind,
                    'hex' => $paint->colour->hex(),
                    'hiding' => $paint->hiding->value,
                    'ml' => $paint->ml,
                ]);
                if ($row->wasRecentlyCreated) {
                    $added++;
                    $this->log->write('paint.shelved', $row, null, $row->only(['name', 'kind', 'hex', 'hiding', 'ml']));
                }
            }

            return $added;
        });
    }
}
