<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

final class BenchCommand extends CoreCommand
{
    protected $signature = 'ordotype:bench
        {--standard=database/demo/standards/five-rungs.json : file in ordotype/standard@1}
        {--tier=centrepiece : the richest tier}
        {--sculpt=database/demo/sculpts/lantern-provost.json : figure whose areas are repeated}
        {--runs=7 : how often each is measured; the median is printed}
        {--json : print figures instead of tables}';

    protected $description = 'Measure how long planning takes on this machine, and how it grows with the number of areas';

    protected function work(): int
    {
        $standard = $this->standard(self::path($this->needed('standard')));
        $tier = $standard->tier($this->needed('tier'));
        $sculpt = $this->sculpt(self::path($this->needed('sculpt')));
        $runs = $this->wholeNumber('runs', 1, 1000);
        $rows = [];
        foreach ([5, 10, 16, 24, 32, 40, 50, 60] as $areas) {
            $request = new PlanRequest($standard, $tier, self::grown($sculpt, $areas));
            $plan = Planner::plan($request);
            $rows[] = [
                'areas' => $areas,
                'choice_ms' => self::median($runs, fn () => Planner::choose($request)),
                'plan_ms' => self::median($runs, fn () => Planner::plan($request)),
                'steps' => count($plan->work->steps),
                'passes' => count($plan->work->passes),
            ];
        }
        if ($this->option('json') === true) {
            $this->line(Json::encode(['tier' => $tier->key, 'runs' => $runs, 'jit' => self::jit(), 'rows' => $rows]));

            return self::SUCCESS;
        }
        $this->line("$tier->name, areas of {$sculpt->name} repeated, median of $runs runs, JIT ".(self::jit() ? 'on' : 'off').'. Aims for 24 areas: choice 30 ms, whole plan 120 ms.');
        $this->table(['Areas', 'Choice ms', 'Whole plan ms', 'Steps', 'Passes'], array_map(fn (array $r) => [
            $r['areas'], number_format($r['choice_ms'], 1), number_format($r['plan_ms'], 1), $r['steps'], $r['passes'],
        ], $rows));

        return self::SUCCESS;
    }

    /** The sculpt's areas repeated until there are as many as wanted; copies touch what the originals touch, and are as large. */
    private static function grown(Sculpt $sculpt, int $count): Sculpt
    {
        $areas = [];
        $own = count($sculpt->areas);
        for ($i = 0; $i < $count; $i++) {
            $a = $sculpt->areas[$i % $own];
            $round = intdiv($i, $own);
            $name = fn (string $key): string => $round === 0 ? $key : "$key-$round";
            $there = fn (string $key): bool => $round * $own + $sculpt->place($key) < $count;
            $areas[] = new Area($name($a->key), $a->name, $a->material, $a->relief, $a->rank, $a->focus, $a->facing, $a->layer, $a->sharePct, $a->count, $a->access, null,
                array_values(array_map($name, array_filter($a->touches, $there))), $a->surround !== null && $there($a->surround) ? $name($a->surround) : null, $a->slot, $a->optional, []);
        }

        return new Sculpt("$sculpt->name × $count", $sculpt->role, $sculpt->size, $sculpt->baseMm, $sculpt->surfaceCm2, $sculpt->definition, [], false, null, $areas);
    }

    private static function median(int $runs, callable $work): float
    {
        $work();
        $times = [];
        for ($i = 0; $i < $runs; $i++) {
            $start = hrtime(true);
            $work();
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);

        return $times[intdiv($runs, 2)];
    }

    private static function jit(): bool
    {
        $status = function_exists('opcache_get_status') ? @opcache_get_status(false) : false;

        return is_array($status) && ($status['jit']['on'] ?? false) === true;
    }

    private static function path(string $path): string
    {
        return str_starts_with($path, '/') || is_file($path) ? $path : base_path($path);
    }
}
