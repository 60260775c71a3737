<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Photograph;
use App\Pictures\Measuring;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Measures one photograph where its outlines were laid. */
final class MeasurePhotograph implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** @var list<int> seconds before each further try */
    public array $backoff = [10, 60];

    public int $timeout = 120;

    public function __construct(private readonly int $photograph)
    {
    }

    public function handle(Measuring $measuring): void
    {
        $photograph = Photograph::query()->find($this->photograph);
        // It may have been taken away meanwhile.
        if ($photograph !== null) {
            $measuring->measure($photograph);
        }
    }

    public function failed(?Throwable $why): void
    {
        Photograph::query()
            ->whereKey($this->photograph)
            ->update(['state' => 'failed', 'said' => 'It could not be measured; the studio’s log says why.']);
    }
}
