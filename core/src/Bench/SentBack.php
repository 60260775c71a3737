<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Planning\Sequencing\StepKey;

/** A fault that a check sent back, and what puts it right, in its order. */
final readonly class SentBack
{
    /** @var array<string, WantedStep> by key, which stays when others are sent back or not any more */
    public array $steps;

    /** @param  array<int, WantedStep>  $repair  by their places, from 0; a place may be empty */
    public function __construct(public int $fault, array $repair)
    {
        $steps = [];
        foreach ($repair as $i => $step) {
            $steps[StepKey::ofRepair($fault, $i + 1)->id] = $step;
        }
        $this->steps = $steps;
    }
}
