<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;
use Ordotype\Core\Words\WarningWords;

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
        $standard = $this->standard($this->needed('standard'));
        $plan = $this->planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($this->needed('tier')),
                $this->sculpt($this->needed('sculpt')),
                $this->scheme(),
                $this->method(),
                $this->amendments($standard),
                $this->shelf(),
                $this->wholeNumber('pieces', 1, 10_000),
            ),
        );
        if ($this->option('json') === true) {
            $this->output->write(
                Json::encode(PlanFormat::write($plan)),
                false,
                \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
            );

            return self::SUCCESS;
        }
        $this->readable($plan);

        return self::SUCCESS;
    }

    private function readable(Plan $plan): void
    {
        $request = $plan->request;
        $this->line(
            "{$request->sculpt->name}, {$request->tier->name}: ".
                round($plan->minutesByPasses()).
                ' min a piece in passes, '.
                round($plan->minutesByArea()).
                ' min area by area, '.
                round($plan->setupMinutes()).
                ' min setting up once',
        );
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
        $this->table(['', 'Area', 'min', 'Techniques'], $rows);
        $this->table(
            ['No', 'Pass', 'Areas', 'Paint', 'min', 'dry', 'Held by'],
            array_map(
                function ($pass, int $i) use ($plan): array {
                    $steps = array_map(fn (int $k) => $plan->work->steps[$k], $pass->steps);
                    $held = array_merge(
                        ...array_map(
                            fn (int $k) => array_map(fn (Rule $r) => Terms::rule($r), $plan->work->held[$k]),
                            $pass->steps,
                        ),
                    );

                    return [
                        $i + 1,
                        $steps[0]->technique->name,
                        implode(', ', array_map(fn ($s) => PlanWords::area($s->area), $steps)),
                        $steps[0]->colour?->words() ?? '',
                        round($pass->minutes),
                        round($pass->drying),
                        implode('; ', array_unique($held)),
                    ];
                },
                $plan->work->passes,
                array_keys($plan->work->passes),
            ),
        );
        $words = new PlanWords($plan->request);
        $warnings = new WarningWords($plan->request);
        foreach ($plan->conflicts() as $conflict) {
            $this->line('Conflict on '.PlanWords::area($conflict->area).': '.$words->conflict($conflict));
        }
        foreach ($plan->notApplicable() as $one) {
            $this->line(
                'Not applicable on '.
                    PlanWords::area($one->area).
                    ': '.
                    $words->subject($one->asked).
                    ', '.
                    $words->notApplicable($one),
            );
        }
        foreach ($plan->warnings as $warning) {
            $this->line('Note: '.$warnings->of($warning));
        }
        $states = array_count_values(
            array_map(fn ($s) => $s->state->value ?? 'judged on the finished work', $plan->requirements),
        );
        $this->line(
            'Requirements: '.
                implode(', ', array_map(fn (string $state, int $n) => "$n $state", array_keys($states), $states)),
        );
    }

    private static function used(ChosenTechnique $used): string
    {
        return mb_strtolower($used->technique->name).
            ($used->extent->word() === 'full' ? '' : " ({$used->extent->word()})").
            ($used->passes > 1 ? " ×$used->passes" : '');
    }
}
