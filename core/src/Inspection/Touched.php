<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** What a check asks again after a repair. */
final class Touched
{
    /**
     * The checkpoints that found a fault, that a repair touched or that had no answer, each about no more than what was
     * touched, and the final look.
     *
     * @param  list<Checkpoint>  $checkpoints  all that could be asked now
     * @param  list<Mended>  $mended
     * @param  list<CheckpointKey>  $open  of the last check, without an answer
     * @return list<Checkpoint>
     */
    public static function by(array $checkpoints, array $mended, array $open): array
    {
        $open = array_fill_keys(array_map(fn (CheckpointKey $k) => $k->id, $open), true);
        $again = [];
        foreach ($checkpoints as $checkpoint) {
            if ($checkpoint->aspect === Aspect::Final || isset($open[$checkpoint->key->id])) {
                $again[] = $checkpoint;

                continue;
            }
            $touched = array_merge(...array_map(fn (Mended $m) => $m->touches($checkpoint), $mended));
            if ($touched !== []) {
                $again[] = $checkpoint->about(array_values(array_intersect($checkpoint->areas, $touched)));
            }
        }

        return $again;
    }
}
