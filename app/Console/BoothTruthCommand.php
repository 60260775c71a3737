<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\TruthTable;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

final class BoothTruthCommand extends CoreCommand
{
    protected $signature = 'ordotype:booth-truth
        {--standard=database/demo/standards/five-rungs.json : file in ordotype/standard@1}
        {--scheme=database/demo/schemes/tidemark.json : file in ordotype/scheme@1}
        {--shelf=database/demo/shelf.csv : CSV of paints}
        {--pictures=200 : how many are drawn and measured}
        {--first=5001 : seed of the first; thresholds were chosen on seeds below 1000}
        {--width=612 : pixels across}';

    protected $description = 'Draw pictures whose truth is known, measure them, and say how often it is right';

    /** What is aimed at, in percent. */
    private const AIMS = [
        'contrast within 3 L*' => 90,
        'tones of 10 L* and more' => 90,
        'median colour within ΔE00 2' => 95,
        'line width within 0.1 mm' => 90,
        'bare undercoat of 1 % found' => 95,
        'no bare undercoat where there is none' => 98,
        'drift of ΔE00 5 found' => 95,
        'drift of ΔE00 1 not called' => 95,
    ];

    protected function work(): int
    {
        $pictures = $this->wholeNumber('pictures', 1, 10_000);
        $first = $this->wholeNumber('first', 0, 1_000_000);
        $table = new TruthTable($this->plans(), $this->wholeNumber('width', 120, 2000));
        for ($seed = $first; $seed < $first + $pictures; $seed++) {
            $table->add($seed);
        }
        $rows = [];
        foreach (self::AIMS as $what => $aim) {
            [$right, $tried] = $table->counts()[$what] ?? [0, 0];
            $rows[] = [$what, $tried, $tried === 0 ? '–' : sprintf('%.1f %%', (100 * $right) / $tried), "$aim %"];
        }
        $this->table(['Measured', 'Tried', 'Right', 'Aim'], $rows);

        return self::SUCCESS;
    }

    /** @return non-empty-list<\Ordotype\Core\Planning\Plan\Plan> */
    private function plans(): array
    {
        $standard = $this->standard($this->needed('standard'));
        $tiers = array_filter($standard->tiers, fn (Tier $t) => $t->status === TierStatus::Offered);
        $plans = [];
        foreach (glob(base_path('database/demo/sculpts/*.json')) ?: [] as $file) {
            foreach ($tiers as $tier) {
                $plans[] = $this->planner()->plan(
                    new PlanRequest($standard, $tier, $this->sculpt($file), $this->scheme(), shelf: $this->shelf()),
                );
            }
        }
        assert($plans !== []);

        return $plans;
    }
}
