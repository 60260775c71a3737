<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** How far a batch has come, in minutes from its beginning. */
final readonly class Progress
{
    /**
     * @param  array<int, array{float, int|null}>  $done  by operation: its end, from which its paint dries, and the
     *     place of the painter, null for somebody else
     * @param  array<int, int>  $inHand  by painter: the operation under the brush
     */
    public function __construct(public float $now = 0.0, public array $done = [], public array $inHand = [])
    {
    }
}
