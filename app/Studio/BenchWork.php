<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Repositories\Releases;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Sequencing\StepKey;
use Ordotype\Core\Standard\Effect;

/** The work a piece still wants: the steps of its release, or of its repair, each under a key that stays. */
final class BenchWork
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, WantedStep> every step the piece must get now, by key */
    public function wanted(Piece $piece): array
    {
        $steps = $this->releases->of($piece->unit)->stepsOf($piece->number);

        return array_map(fn (Step $s) => new WantedStep($s->technique, $s->area?->key, $s->minutes), $steps) +
            $this->repairs($piece);
    }

    /** @return array<string, WantedStep> what the last check sent back, in the order in which it is done */
    public function repairs(Piece $piece): array
    {
        $check = self::lastClosed($piece);
        $steps = [];
        foreach ($check === null || $check->verdict !== 'rework' ? [] : $check->faults->sortBy('id') as $fault) {
            $steps += $this->repairOf($fault, $piece);
        }
        $last = array_filter($steps, fn (WantedStep $s) => $s->technique->has(Effect::Protect));

        // Varnish goes over everything else, whichever fault called for it.
        return array_diff_key($steps, $last) + $last;
    }

    /** @return array<string, WantedStep> */
    private function repairOf(FaultRow $fault, Piece $piece): array
    {
        $standard = $this->releases->of($piece->unit)->request->standard;
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

    public static function lastClosed(Piece $piece): ?Check
    {
        return $piece->checks()->with('faults')->whereNotNull('closed_at')->orderByDesc('round')->first();
    }
}
