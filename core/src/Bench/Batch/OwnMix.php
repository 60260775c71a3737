<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

use Ordotype\Core\Foundation\Dice;

/**
 * Painters in turn of time, each of whom takes one pot over several pieces. A fixed list of settings is tried, then
 * seeded changes of the best, counted in tries; the least finish with three minutes for each change of pot wins.
 */
final class OwnMix
{
    /** What a change of pot counts, in minutes, shared by the painters. */
    private const CHANGE = 3.0;

    /** Operations that are laid out in seeded changes of the best setting: fewer changes of a larger batch. */
    private const LAID = 16_000;

    private const TRIES = 20;

    public static function of(Batch $batch, int $seed = 1): Timetable
    {
        return self::from($batch, new Progress(), $seed);
    }

    /** What is left of a batch; what somebody has under the brush stays theirs. */
    public static function from(Batch $batch, Progress $progress, int $seed = 1): Timetable
    {
        $tries = min(self::TRIES, intdiv(self::LAID, max(1, count($batch->operations))));
        $best = null;
        $bestOf = null;
        foreach (self::settings($batch) as $setting) {
            [$best, $bestOf] = self::better($batch, $progress, $setting, $best, $bestOf);
        }
        $dice = new Dice($seed);
        for ($n = 0; $n < $tries && $bestOf !== null; $n++) {
            [$best, $bestOf] = self::better($batch, $progress, self::changed($bestOf, $dice, $batch), $best, $bestOf);
        }
        assert($best !== null);

        return $best;
    }

    /** What a timetable counts: the lower the better. */
    public static function cost(Batch $batch, Timetable $timetable): float
    {
        return 1e9 * count($timetable->left) +
            $timetable->finish +
            (self::CHANGE * $timetable->changes()) / count($batch->painters);
    }

    public static function with(Batch $batch, MixSetting $setting, Progress $progress = new Progress()): Timetable
    {
        $hands = new Hands($batch, $progress);
        $painters = array_keys($batch->painters);
        foreach ($progress->inHand as $painter => $i) {
            if ($hands->isFree($i)) {
                $hands->run($painter, [$i]);
            }
        }
        $stuck = [];
        while (! $hands->isDone() && count($stuck) < count($painters)) {
            $able = array_diff($painters, $stuck);
            $painter = array_reduce(
                $able,
                fn (?int $first, int $k) => $first === null || $hands->from($k) < $hands->from($first) ? $k : $first,
            );
            assert($painter !== null);
            $run = self::choice($hands, $painter, $setting);
            if ($run === null || $hands->run($painter, $run, $setting->patience) === 0) {
                $stuck[] = $painter;
            } else {
                // What was done may have freed something for the others.
                foreach ($stuck as $k) {
                    $hands->at[$k] = max($hands->at[$k], min($hands->at[$painter], self::soonest($hands)));
                }
                $stuck = [];
            }
        }

        return $hands->timetable();
    }

    /** @return list<MixSetting> tried first: those that were best on the demo's batches, sooner or later */
    private static function settings(Batch $batch): array
    {
        $pieces = count($batch->pieces());
        $share = (int) ceil($pieces / count($batch->painters));
        $of = fn (float $part): int => max(1, (int) round($part * $share));

        if (count($batch->painters) > 1) {
            // More than a painter's share in one run: one keeps the gun, the others keep a pot.
            return [
                new MixSetting($of(1.5), 0.1, 40.0, 1.0, 20.0, 30.0, 2.0, feed: 10.0),
                new MixSetting($of(0.5), 0.3, 40.0, 4.0, 20.0, 100.0, 2.0, intdiv($pieces + 1, 2), 30.0, 50.0),
                new MixSetting($of(1.5), 0.1, 40.0, 4.0, 4.0, 100.0, 2.0, feed: 300.0),
                new MixSetting($of(0.5), 0.3, 10.0, 0.5, 60.0, 30.0, 0.5),
                new MixSetting($of(1.5), 1.0, 3.0, 1.0, 4.0, 30.0, 15.0, feed: 100.0),
            ];
        }

        return [
            new MixSetting($pieces),
            new MixSetting($of(1.0), chain: 0.1, wait: 40.0, stay: 0.0, spray: 30.0, patience: 15.0),
            new MixSetting($of(0.8), chain: 1.0, wait: 40.0, stay: 20.0, spray: 30.0, patience: 0.5),
            new MixSetting($of(0.5), chain: 1.0, wait: 40.0, stay: 60.0, spray: 300.0, patience: 5.0),
            new MixSetting($of(0.5), chain: 0.1, wait: 40.0, setup: 4.0, patience: 15.0),
            new MixSetting($of(0.3), chain: 3.0, wait: 40.0, setup: 4.0, stay: 0.0, spray: 30.0, patience: 0.5),
            new MixSetting($of(1.0), chain: 0.3, wait: 3.0, setup: 4.0, patience: 15.0, wave: (int) ceil($pieces / 2)),
            new MixSetting(1, chain: 0.1, wait: 40.0, patience: 5.0),
        ];
    }

    private static function changed(MixSetting $s, Dice $dice, Batch $batch): MixSetting
    {
        $of = fn (int $n): int => $dice->roll() % $n;
        $by = fn (float $v): float => max(0.05, $v * [0.4, 0.7, 1.0, 1.0, 1.4, 2.5][$of(6)]);
        $pieces = count($batch->pieces());

        return new MixSetting(
            max(1, min($pieces, (int) round($by((float) $s->run)))),
            $by($s->chain),
            $by($s->wait),
            $by($s->setup),
            $by($s->stay),
            $of(4) === 0 ? 30.0 : $s->spray,
            $by($s->patience),
            $of(5) === 0 ? [0, intdiv($pieces + 1, 2), intdiv($pieces + 2, 3)][$of(3)] : $s->wave,
            $by($s->feed),
            $s->ahead,
        );
    }

    /** @return array{Timetable, MixSetting} the better of the two */
    private static function better(
        Batch $batch,
        Progress $progress,
        MixSetting $setting,
        ?Timetable $best,
        ?MixSetting $of,
    ): array {
        $timetable = self::with($batch, $setting, $progress);

        return $best === null || $of === null || self::cost($batch, $timetable) < self::cost($batch, $best) - 1e-9
            ? [$timetable, $setting]
            : [$best, $of];
    }

    /**
     * The pot that a painter takes next, and the pieces it goes over.
     *
     * @return non-empty-list<int>|null operations; null: nothing that they can do is free
     */
    private static function choice(Hands $hands, int $painter, MixSetting $s): ?array
    {
        $batch = $hands->batch;
        $now = $hands->from($painter);
        $skill = $batch->painters[$painter]->skill;
        $best = null;
        $least = INF;
        foreach ($hands->free as $turn => $free) {
            if ($free === []) {
                continue;
            }
            $first = (int) array_key_first($free);
            $operation = $batch->operations[$first];
            if ($batch->skills[$first] > $skill) {
                continue;
            }
            if ($operation->begins) {
                $free = array_filter($free, $hands->mayBegin(...), ARRAY_FILTER_USE_KEY);
                if ($free === []) {
                    continue;
                }
                $first = (int) array_key_first($free);
            }
            $setup = $hands->setupFor($painter, $first);
            $ready = min($free);
            if ($operation->isSprayed) {
                // The gun is held while its pot is laid out: whoever comes second waits for both.
                $ready = max($ready, $hands->gunFree() + $setup);
            }
            $idle = max(0.0, $ready - $now - $setup);
            $score = $s->wait * $idle + ($s->setup * $setup) / min($s->run, count($free)) -
                $s->chain * $batch->tails[$first] -
                ($setup === 0.0 && $hands->pot[$painter] === $operation->pot ? $s->stay : 0.0) -
                ($operation->isSprayed ? $s->spray : 0.0) -
                ($batch->feeds[$first] ? $s->feed : 0.0);
            if ($s->wave > 0) {
                $score += $s->ahead * intdiv($operation->piece - 1, $s->wave);
            }
            if ($score < $least) {
                [$least, $best] = [$score, $turn];
            }
        }
        if ($best === null) {
            return null;
        }
        $pieces = $hands->free[$best];
        // Those that are dry first; the pieces of one wave together.
        asort($pieces);
        $run = array_keys($pieces);
        if ($s->wave > 0) {
            $of = fn (int $i): int => intdiv($batch->operations[$i]->piece - 1, $s->wave);
            usort($run, fn (int $a, int $b) => [$of($a), $pieces[$a], $a] <=> [$of($b), $pieces[$b], $b]);
        }
        $run = array_slice($run, 0, $s->run);

        return $run === [] ? null : $run;
    }

    private static function soonest(Hands $hands): float
    {
        $soonest = INF;
        foreach ($hands->free as $free) {
            $soonest = $free === [] ? $soonest : min($soonest, min($free));
        }

        return $soonest;
    }
}
