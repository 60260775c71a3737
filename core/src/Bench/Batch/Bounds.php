<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** What no timetable of a batch can undercut, without days. */
final readonly class Bounds
{
    /** The hands: all minutes with each pot laid out once, over the painters; and no piece is in two hands. */
    public float $hand;

    /** The longest chain of one piece. */
    public float $chain;

    /** The hands between heads and tails. */
    public float $better;

    public function __construct(private Batch $batch)
    {
        $painters = count($batch->painters);
        $minutes = $batch->minutes();
        $setups = [];
        foreach ($batch->operations as $operation) {
            $setups[$operation->pot] = $operation->setup;
        }
        $pieces = max(1, count($batch->pieces()));
        $this->hand = max($minutes / min($pieces, $painters), ($minutes + array_sum($setups)) / $painters);
        $this->chain = $batch->operations === [] ? 0.0 : max(
            array_map(
                fn (Operation $o, float $head, float $tail) => $head + $o->minutes + $tail,
                $batch->operations,
                $batch->heads,
                $batch->tails,
            ),
        );
        $this->better = max(
            $this->hand,
            $this->chain,
            $this->between($batch->operations, $painters),
            $this->between(array_filter($batch->operations, fn (Operation $o) => $o->isSprayed), $batch->guns),
        );
    }

    /** The larger of hand and chain. */
    public function plain(): float
    {
        return max($this->hand, $this->chain);
    }

    /**
     * For every head a and tail b: what starts no sooner than a and is followed by b or more cannot be done quicker
     * than by all hands between the two; set-ups of pots that are used for nothing else lie there too.
     *
     * @param  array<int, Operation>  $operations
     */
    private function between(array $operations, int $hands): float
    {
        if ($operations === []) {
            return 0.0;
        }
        $round = fn (float $v): int => (int) floor($v * 100 + 1e-6);
        /** @var array<string, array{int, int, float, int}> $alike heads and tails that are the same, with minutes */
        $alike = [];
        $pots = [];
        foreach ($operations as $i => $o) {
            $key = $round($this->batch->heads[$i]).' '.$round($this->batch->tails[$i]);
            $alike[$key] ??= [$round($this->batch->heads[$i]), $round($this->batch->tails[$i]), 0.0, 0];
            $alike[$key][2] += $o->minutes;
            $pot = $pots[$o->pot] ?? [PHP_INT_MAX, PHP_INT_MAX, $o->setup];
            $pots[$o->pot] = [min($pot[0], $alike[$key][0]), min($pot[1], $alike[$key][1]), $o->setup];
        }
        $best = 0.0;
        $tails = array_unique(array_column($alike, 1));
        foreach (array_unique(array_column($alike, 0)) as $a) {
            foreach ($tails as $b) {
                $within = 0.0;
                foreach ($alike as [$head, $tail, $minutes]) {
                    $within += $head >= $a && $tail >= $b ? $minutes : 0.0;
                }
                if ($within === 0.0) {
                    continue;
                }
                // A pot may be laid out before a: as many set-ups as there are hands can lie there.
                $setups = [];
                foreach ($pots as [$head, $tail, $setup]) {
                    if ($head >= $a && $tail >= $b) {
                        $setups[] = $setup;
                    }
                }
                rsort($setups);
                $within += array_sum($a === 0 ? $setups : array_slice($setups, $hands));
                $best = max($best, $a / 100 + $within / $hands + $b / 100);
            }
        }

        return $best;
    }
}
