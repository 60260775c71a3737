<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Pictures\Drawings;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Draws one picture of the booth. Begun anew it draws the same. */
final class DrawPicture implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** @var list<int> seconds before each further try */
    public array $backoff = [10, 60];

    public int $timeout = 120;

    public function __construct(private readonly string $hash)
    {
    }

    public function handle(Drawings $drawings): void
    {
        $drawings->draw($this->hash);
    }

    public function failed(?Throwable $why): void
    {
        app(Drawings::class)->gaveUp($this->hash, $why);
    }
}
