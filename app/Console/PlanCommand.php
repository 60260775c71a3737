<?php

declare(strict_types=1);

namespace App\Console;

use InvalidArgumentException;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;
use Ordotype\Core\Words\WarningWords;
use Symfony\Component\Console\Output\OutputInterface;

final class PlanCommand extends CoreCommand
{
    protected $signature = 'ordotype:plan
        {--standard= : file in ordotype/standard@1}
        {--tier= : key of the tier}
        {--sculpt= : file in ordotype/sculpt@1}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1, one or a list}
        {--shelf= : CSV of paints: name,kind,hex,hiding,ml}
        {--pieces=1 : how many are painted together}
        {--json : print ordotype/plan@1}';

    protected $description =
        'Work out which techniques on which areas meet a tier in the least time, and in '.'which order';

    protected function work(): int
    {
        $request = $this->request();
        if ($request->isQuotedByHand()) {
            throw new InvalidArgumentException(
                "{$request->tier->name} is quoted by hand: it has no plan until clauses are agreed (--amend).",
            );
        }
        $plan = $this->planner()->plan($request);
        if ($this->option('json') === true) {
            $this->output->write(Json::encode(PlanFormat::write($plan)), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        $this->line(
            "{$plan->request->sculpt->name}, {$plan->request->tier->name}: ".
                round($plan->minutesByPasses()).
                ' min a piece in passes, '.
                round($plan->minutesByArea()).
                ' min area by area, '.
                round($plan->setupMinutes()).
                ' min setting up once',
        );
        $this->table(['', 'Area', 'min', 'Techniques'], self::areas($plan));
        $this->table(['No', 'Pass', 'Areas', 'Paint', 'min', 'dry', 'Held by'], self::passes($plan));
        $this->remarks($plan);

        return self::SUCCESS;
    }

    /** @return list<list<int|float|string|null>> */
    private static function areas(Plan $plan): array
    {
        $rows = [];
        foreach ($plan->areas as $i => $planned) {
            $rows[] = [
                $i + 1,
                $planned->demand->area?->name,
                $planned->choice === null ? '–' : round($planned->choice->minutes),
                $planned->choice === null
                    ? 'conflict, see below'
                    : implode(', ', array_map(self::used(...), $planned->choice->techniques)),
            ];
        }

        return $rows;
    }

    /** @return list<list<int|float|string>> */
    private static function passes(Plan $plan): array
    {
        $rows = [];
        foreach ($plan->work->passes as $i => $pass) {
            $steps = array_map(fn (int $k) => $plan->work->steps[$k], $pass->steps);
            $held = array_merge(...array_map(fn (int $k) => $plan->work->held[$k], $pass->steps));
            $rows[] = [
                $i + 1,
                $steps[0]->technique->name,
                implode(', ', array_map(fn (Step $s) => PlanWords::area($s->area), $steps)),
                $steps[0]->colour?->words() ?? '',
                round($pass->minutes),
                round($pass->drying),
                implode('; ', array_unique(array_map(Terms::rule(...), $held))),
            ];
        }

        return $rows;
    }

    private function remarks(Plan $plan): void
    {
        $words = new PlanWords($plan->request);
        $warnings = new WarningWords($plan->request);
        foreach ($plan->conflicts() as $conflict) {
            $this->line('Conflict on '.PlanWords::area($conflict->area).': '.$words->conflict($conflict));
        }
        foreach ($plan->notApplicable() as $one) {
            $what = $words->subject($one->asked).', '.$words->notApplicable($one);
            $this->line('Not applicable on '.PlanWords::area($one->area).": $what");
        }
        foreach ($plan->warnings as $warning) {
            $this->line('Note: '.$warnings->of($warning));
        }
        $states = array_count_values(
            array_map(fn ($s) => $s->state->value ?? 'judged on the finished work', $plan->requirements),
        );
        $counted = array_map(fn (string $state, int $n) => "$n $state", array_keys($states), $states);
        $this->line('Requirements: '.implode(', ', $counted));
    }
}
