<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Bench\LayBatches;
use App\Models\BatchRow;
use App\Models\Piece;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Looks whether a batch still goes as it was laid out, after something that moves it. */
final class FollowBatch implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** @var list<int> seconds before each further try */
    public array $backoff = [5, 30];

    public int $timeout = 60;

    public function __construct(private readonly int $batch)
    {
    }

    /** @param  iterable<Piece>  $pieces  that something happened to */
    public static function ofPieces(iterable $pieces): void
    {
        $batches = [];
        foreach ($pieces as $piece) {
            if ($piece->batch_id !== null) {
                $batches[$piece->batch_id] = true;
            }
        }
        foreach (array_keys($batches) as $batch) {
            self::dispatch($batch)->afterCommit();
        }
    }

    /** Those that somebody paints in. */
    public static function ofPainter(int $user): void
    {
        foreach (BatchRow::query()->whereNull('ended_at')->get(['id', 'painters']) as $batch) {
            if (in_array($user, array_column($batch->painters, 'user'), true)) {
                self::dispatch($batch->id)->afterCommit();
            }
        }
    }

    public function uniqueId(): string
    {
        return (string) $this->batch;
    }

    public function handle(LayBatches $lay): void
    {
        $batch = BatchRow::query()->whereNull('ended_at')->find($this->batch);
        if ($batch !== null) {
            $lay->follow($batch);
        }
    }
}
