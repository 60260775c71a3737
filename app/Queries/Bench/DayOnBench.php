<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\BatchRow;
use App\Models\Studio;
use App\Models\User;
use App\Repositories\BatchStates;
use App\Studio\BatchState;
use Carbon\CarbonImmutable;
use Ordotype\Core\Bench\Batch\Run;

/**
 * A day at the bench: what each painter has on their board, what hangs there to dry, when they are free, and which
 * batch ends when. What was done that day stands as it was done; what is to come as it lies now.
 */
final class DayOnBench
{
    /** Minutes of a gap from which on it is worth saying. */
    private const FREE = 5.0;

    /** @var array<int, array<string, mixed>> by user */
    private array $boards = [];

    private CarbonImmutable $from;

    private CarbonImmutable $to;

    public function __construct(private readonly BatchStates $states, private readonly BatchShown $shown)
    {
    }

    /**
     * @param  string  $on  a day such as 2026-12-02
     * @return array<string, mixed>
     */
    public function of(string $on): array
    {
        $this->from = CarbonImmutable::parse($on, Studio::row()->time_zone)->startOfDay();
        $this->to = $this->from->endOfDay();
        $batches = [];
        foreach (BatchRow::open() as $row) {
            $state = $this->states->of($row);
            $this->take($state);
            $batches[] = $this->shown->standing($state);
        }
        $names = User::query()->whereIn('id', array_keys($this->boards))->pluck('name', 'id');
        foreach ($this->boards as $user => &$board) {
            usort($board['blocks'], fn (array $a, array $b) => $a['from'] <=> $b['from']);
            $board = ['user' => $user, 'name' => (string) $names[$user], ...$board, 'free' => self::free($board)];
        }
        unset($board);
        $boards = array_values($this->boards);
        usort($boards, fn (array $a, array $b) => strcmp($a['name'], $b['name']));

        return ['on' => $on, 'boards' => $boards, 'batches' => $batches];
    }

    private function take(BatchState $state): void
    {
        foreach ($state->row->painters as $hand) {
            $isAway = User::query()->findOrFail($hand['user'])->isAway($this->from->format('Y-m-d'));
            $isAtWork = ! $isAway && in_array($this->from->dayOfWeekIso, $hand['days'], true);
            $hours = $isAtWork
                ? ['from' => self::at($this->from, $hand['from']), 'to' => self::at($this->from, $hand['to'])]
                : null;
            $this->boards[$hand['user']] ??= ['hours' => $hours, 'waits' => 0.0, 'blocks' => []];
            $known = $this->boards[$hand['user']]['hours'];
            $this->boards[$hand['user']]['hours'] = $known === null || $hours === null ? $known ?? $hours : [
                'from' => min($known['from'], $hours['from']),
                'to' => max($known['to'], $hours['to']),
            ];
        }
        foreach ($this->done($state) as [$painter, $from, $operations]) {
            $this->block($state, $painter, $from, $operations, null, true);
        }
        foreach ($state->force->timetable->runs as $run) {
            foreach (self::parts($state, $run) as $n => [$from, $operations]) {
                $this->block($state, $run->painter, $from, $operations, $n === 0 ? $run : null, false);
            }
        }
    }

    /**
     * @param  float  $from  minutes since the batch began
     * @param  list<int>  $operations
     * @param  Run|null  $run  the run it begins
     */
    private function block(
        BatchState $state,
        int $painter,
        float $from,
        array $operations,
        ?Run $run,
        bool $isDone,
    ): void {
        $last = $operations[count($operations) - 1] ?? null;
        if ($last === null) {
            return;
        }
        $ends = $isDone
            ? $state->progress->done[$last][0]
            : $state->force->timetable->starts[$last] + $state->batch->operations[$last]->minutes;
        [$begins, $finishes] = [$state->moment($from), $state->moment($ends)];
        if ($begins->gt($this->to) || $finishes->lt($this->from)) {
            return;
        }
        $dry = RunWork::dry($state, $last, $ends);
        $board = &$this->boards[$state->users[$painter]];
        $board['waits'] += $run->waited ?? 0.0;
        $board['blocks'][] = [
            'batch' => $state->row->id,
            'from' => self::zulu($begins),
            'to' => self::zulu($finishes),
            'done' => $isDone,
            'setup' => round($run->setup ?? 0.0, 1),
            'dry' => $dry === null ? null : self::zulu($state->moment($dry)),
            'does' => RunWork::of($state, $operations),
        ];
    }

    /**
     * A run that waits between its pieces lies on the board in parts.
     *
     * @return list<array{float, non-empty-list<int>}> from, operations
     */
    private static function parts(BatchState $state, Run $run): array
    {
        $parts = [];
        $at = -INF;
        foreach ($run->operations as $n => $i) {
            $begins = $state->force->timetable->starts[$i];
            if ($n > 0 && $begins - $at < self::FREE) {
                $parts[count($parts) - 1][1][] = $i;
            } else {
                $parts[] = [$n === 0 ? $run->from : $begins, [$i]];
            }
            $at = $begins + $state->batch->operations[$i]->minutes;
        }

        return $parts;
    }

    /**
     * What was done in the batch on this day, one pot after the other.
     *
     * @return list<array{int, float, non-empty-list<int>}> painter, from, operations
     */
    private function done(BatchState $state): array
    {
        $done = array_filter(
            $state->progress->done,
            fn (array $d) => $d[1] !== null && $state->moment($d[0])->between($this->from, $this->to),
        );
        uasort($done, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $blocks = $last = [];
        foreach ($done as $i => [$ends, $painter]) {
            $operation = $state->batch->operations[$i];
            $begins = $ends - $operation->minutes;
            $before = $last[$painter] ?? null;
            if ($before !== null && $state->batch->operations[$blocks[$before][2][0]]->turn === $operation->turn) {
                $blocks[$before][2][] = $i;
            } else {
                // Marked late, it lies no sooner than what was done before it.
                $ended = $before === null ? -INF : $state->progress->done[array_slice($blocks[$before][2], -1)[0]][0];
                $blocks[] = [$painter, max($begins, $ended), [$i]];
                $last[$painter] = count($blocks) - 1;
            }
        }

        return $blocks;
    }

    /**
     * @param  array<string, mixed>  $board
     * @return list<array{from: string, to: string}> hours of the day with nothing on the board
     */
    private static function free(array $board): array
    {
        if ($board['hours'] === null) {
            return [];
        }
        $free = [];
        $at = max($board['hours']['from'], self::zulu(CarbonImmutable::now()));
        foreach ([...$board['blocks'], ['from' => $board['hours']['to'], 'to' => $board['hours']['to']]] as $block) {
            if (CarbonImmutable::parse($at)->diffInMinutes($block['from']) >= self::FREE) {
                $free[] = ['from' => $at, 'to' => $block['from']];
            }
            $at = max($at, $block['to']);
        }

        return $free;
    }

    private static function at(CarbonImmutable $day, string $time): string
    {
        return self::zulu($day->setTimeFromTimeString($time));
    }

    private static function zulu(CarbonImmutable $moment): string
    {
        return $moment->utc()->startOfSecond()->toIso8601ZuluString();
    }
}
