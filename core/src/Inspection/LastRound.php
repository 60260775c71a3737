<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** A check that sent a piece back, as far as the next one asks by it. */
final readonly class LastRound
{
    /**
     * @param  list<CheckpointKey>  $asked
     * @param  list<CheckpointKey>  $answered
     * @param  list<CheckpointKey>  $everAsked  in any round
     * @param  list<Mended>  $mended  what was sent back, and what its repair changed
     * @param  bool  $isPaintedOver  whether the piece was painted over since
     */
    public function __construct(
        private array $asked,
        private array $answered,
        private array $everAsked,
        private array $mended,
        private bool $isPaintedOver,
    ) {
    }

    /**
     * What a repair touched, what was left open and what was never asked; all of it where it was painted over.
     *
     * @param  list<Checkpoint>  $checkpoints  all that could be asked now
     * @return list<Checkpoint>
     */
    public function asksAgain(array $checkpoints): array
    {
        if ($this->isPaintedOver) {
            return $checkpoints;
        }
        $answered = self::ids($this->answered);
        $open = array_filter($this->asked, fn (CheckpointKey $k) => ! isset($answered[$k->id]));
        $ever = self::ids($this->everAsked);
        $keys = array_map(fn (Checkpoint $c) => $c->key, $checkpoints);
        $new = array_filter($keys, fn (CheckpointKey $k) => ! isset($ever[$k->id]));
        // Checks from before there were looks name nothing as it is named now.
        $new = count($new) < count($keys) - 1 ? $new : [];

        return Touched::by($checkpoints, $this->mended, array_values([...$open, ...$new]));
    }

    /**
     * @param  list<CheckpointKey>  $keys
     * @return array<string, true>
     */
    private static function ids(array $keys): array
    {
        return array_fill_keys(array_map(fn (CheckpointKey $k) => $k->id, $keys), true);
    }
}
