<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Studio\BatchState;
use Ordotype\Core\Bench\Batch\BatchWork;

/** One pot over models of a batch, as the bench and the day show it. */
final class RunWork
{
    /**
     * @param  non-empty-list<int>  $operations
     * @return array<string, mixed>
     */
    public static function of(BatchState $state, array $operations): array
    {
        $first = $state->batch->operations[$operations[0]];
        $release = $state->releaseOf($operations[0]);
        $step = $release->steps()[$first->steps[0]];
        $numbers = array_map(fn (int $i) => $state->pieceOf($i)->number, $operations);
        $minutes = array_map(fn (int $i) => $state->batch->operations[$i]->minutes, $operations);

        return [
            'technique' => $step->technique->name,
            'paint' => $step->colour?->words(),
            'hex' => $step->colour?->colour?->hex(),
            'sprayed' => $first->isSprayed,
            'unit' => $state->pieceOf($operations[0])->unit_id,
            'sculpt' => $release->request->sculpt->name,
            'pass' => BatchWork::passOf($first) + 1,
            'models' => array_values(array_unique($numbers)),
            'minutes' => round(array_sum($minutes), 1),
        ];
    }

    /** Minutes from the batch's beginning until which what is done there holds something; null: it holds nothing. */
    public static function dry(BatchState $state, int $operation, float $ends): ?float
    {
        $dry = null;
        foreach ($state->batch->after[$operation] as $lag) {
            $isHeld = ! isset($state->progress->done[$lag->to]) && ! $lag->why->isAnswer() && $lag->minutes > 0.0;
            $dry = $isHeld ? max($dry ?? 0.0, $ends + $lag->minutes) : $dry;
        }

        return $dry;
    }
}
