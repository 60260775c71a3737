<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\Piece;
use App\Models\StepLog;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Planning\Sequencing\DryingTimes;

/** Which passes would go over paint that is still wet on a model, and until when: as the log says, coat by coat. */
final class WetPaint
{
    /** @var array<int, DryingTimes> by number of the release and unit */
    private array $times = [];

    /** @return list<array{pass: int, until: string}> passes that are open and wait */
    public function of(Piece $piece, Release $release): array
    {
        $steps = $release->plan->work->steps;
        $places = array_flip(array_map(fn ($k) => $k->id, $release->keys));
        $wet = [];
        foreach ($piece->standing as $log) {
            $place = $places[$log->step] ?? null;
            $until = $place === null || $log->skipped !== null
                ? null
                : $log->done_at->addSeconds((int) round(60 * $steps[$place]->technique->dry));
            if ($until !== null && $until->isFuture()) {
                $wet[$place] = $until;
            }
        }
        if ($wet === []) {
            return [];
        }
        $done = $piece->standing->map(fn (StepLog $l) => $l->step)->flip();
        $drying = $this->times[spl_object_id($release)] ??= new DryingTimes($steps, $release->request->sculpt, 1);
        $waits = [];
        foreach ($release->passes() as $n => $pass) {
            $last = null;
            foreach ($pass->steps as $t) {
                foreach ($done->has($release->keys[$t]->id) ? [] : $wet as $s => $until) {
                    $isOver = $drying->waitsFor($t, $s);
                    $last = $isOver && ($last === null || $until->gt($last)) ? $until : $last;
                }
            }
            if ($last !== null) {
                $waits[] = ['pass' => $n + 1, 'until' => $last->toIso8601ZuluString()];
            }
        }

        return $waits;
    }
}
