<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Settings\LongImports;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Takes a long file in. Cut off on the way, it begins anew: nothing of the first time is there. */
final class TakeFileIn implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** @var list<int> seconds before each further try */
    public array $backoff = [10, 60];

    public int $timeout = 600;

    public function __construct(private readonly int $import)
    {
    }

    public function handle(LongImports $imports): void
    {
        $imports->take($this->import);
    }

    public function failed(): void
    {
        app(LongImports::class)->gaveUp($this->import);
    }
}
