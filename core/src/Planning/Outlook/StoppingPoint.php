<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Standard\Tier;

/** Where the work on a plan could stop so that what is there meets a lower tier; or why it cannot. */
final readonly class StoppingPoint
{
    /**
     * @param  list<int>|null  $steps  places in the plan's order of work that are done by then, finishing steps
     *     apart; null where there is no such point
     * @param  list<int>  $finish  places of the steps that finish the piece there
     * @param  float  $minutes  hand minutes of all those steps, area by area
     * @param  StopObstacle|null  $obstacle  why there is none
     */
    public function __construct(
        public Tier $tier,
        public ?array $steps,
        public array $finish,
        public float $minutes,
        public ?StopObstacle $obstacle,
    ) {
    }
}
