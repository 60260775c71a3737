<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\StepLog;
use App\Repositories\Releases;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Standard\Effect;

/** The work a piece still wants: the steps of its release, or of its repair, each under a key that stays. */
final class BenchWork
{
    /** What of a piece must be loaded for many pieces at once. */
    public const OF_PIECES = ['standing', 'lastClosed.faults'];

    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, WantedStep> every step the piece must get now, by key */
    public function wanted(Piece $piece, Release $release): array
    {
        $steps = $release->stepsOf($piece->number);

        return array_map(fn (Step $s) => new WantedStep($s->technique, $s->area?->key, $s->minutes), $steps) +
            $this->repairs($piece, $release);
    }

    /** @return array<string, WantedStep> what the last check sent back, in the order in which it is done */
    public function repairs(Piece $piece, Release $release): array
    {
        $steps = [];
        foreach ($this->sentBack($piece) as $fault) {
            $steps += $this->repairOf($fault, $release);
        }
        $last = array_filter($steps, fn (WantedStep $s) => $s->technique->has(Effect::Protect));

        // Varnish goes over everything else, whichever fault called for it.
        return array_diff_key($steps, $last) + $last;
    }

    /**
     * @return Collection<int, FaultRow> what the last check sent back; what does not count is left as it is, and what
     *     lay on paint that is painted over since is gone with it
     */
    public function sentBack(Piece $piece): Collection
    {
        $check = $piece->lastClosed;
        $isThere = fn (FaultRow $f): bool => $f->area === null ||
            $piece->standing->contains(
                fn (StepLog $log) => $log->area === $f->area && $log->done_at <= $check?->closed_at,
            ) ||
            ! $piece->logs()->where('area', $f->area)->whereNotNull('covered_by')->exists();

        return $check?->verdict === 'rework'
            ? $check->faults->where('severity', '!=', 'note')->filter($isThere)->sortBy('id')->values()
            : new Collection();
    }

    /** @return list<string> keys of the repair of one fault, in their order */
    public function keysOf(FaultRow $fault, Release $release): array
    {
        return array_keys($this->repairOf($fault, $release));
    }

    /** @return list<string> keys of the steps that are marked and stand */
    public static function done(Piece $piece): array
    {
        return array_values($piece->standing->pluck('step')->map(strval(...))->all());
    }

    /** @return array<string, WantedStep> */
    private function repairOf(FaultRow $fault, Release $release): array
    {
        $standard = $release->request->standard;
        $steps = [];
        foreach ($fault->repair as $i => $step) {
            if ($standard->hasTechnique($step['technique'])) {
                $key = StepKey::ofRepair($fault->id, $i + 1);
                $steps[$key->id] = new WantedStep(
                    $standard->technique($step['technique']),
                    $step['area'],
                    (float) $step['minutes'],
                );
            }
        }

        return $steps;
    }

    /** Whether varnish is on: put on, not left out, and not painted over since. */
    public function isVarnished(Piece $piece): bool
    {
        $standard = $this->releases->of($piece->unit)->request->standard;
        foreach (
            $piece->logs()->whereNull('skipped')->whereNull('covered_by')->pluck('technique')->unique() as $key
        ) {
            if ($standard->hasTechnique($key) && $standard->technique($key)->has(Effect::Protect)) {
                return true;
            }
        }

        return false;
    }
}
