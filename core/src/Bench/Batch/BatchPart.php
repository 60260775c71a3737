<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

use Ordotype\Core\Bench\Release;
use Ordotype\Core\Planning\Sequencing\Gates;
use Ordotype\Core\Standard\Gate;

/** Pieces of one release that are painted in a batch, perhaps beside those of others. */
final readonly class BatchPart
{
    /** Minutes until a gate is answered, before ten answers tell how long it takes. Common practice, no source. */
    public const WAIT = 60.0;

    public Gates $gates;

    /**
     * @param  array<int, int>  $pieces  number in the batch to number in the unit
     * @param  int|null  $test  the one, by its number in the batch, that runs ahead and has not been judged yet
     * @param  array<int, list<Gate>>  $answered  by number in the batch: gates that let it go on
     * @param  float  $wait  minutes until a gate is answered
     * @param  bool  $isGated  whether gates hold at all: those of the tier, or none
     */
    public function __construct(
        public Release $release,
        public array $pieces,
        public ?int $test = null,
        public array $answered = [],
        public float $wait = self::WAIT,
        bool $isGated = true,
    ) {
        $wanted = $isGated ? $release->acceptance()->gates ?? [] : [];
        $this->gates = new Gates($release->plan->work->steps, $wanted);
    }

    /** @return list<Gate> that still hold a piece */
    public function holding(int $piece): array
    {
        return array_values(array_filter(
            $this->gates->all(),
            fn (Gate $g) => ! in_array($g, $this->answered[$piece] ?? [], true),
        ));
    }
}
