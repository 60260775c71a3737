<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\Png;
use InvalidArgumentException;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\View;

final class BoothCommand extends CoreCommand
{
    protected $signature = 'ordotype:booth
        {--standard= : file in ordotype/standard@1}
        {--tier= : key of the tier}
        {--sculpt= : file in ordotype/sculpt@1, with outlines}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1, one or a list}
        {--shelf= : CSV of paints: name,kind,hex,hiding,ml}
        {--pieces=1 : how many are painted together}
        {--view=front : front or back}
        {--width=1000 : pixels, 120 to 2000}
        {--seed=1 : of the brush}
        {--done= : how many passes are done; all when left out}
        {--fault=* : KEY:AREA[:SIZE], mm; ΔE for colour_drift}
        {--out= : file for the picture, PNG}';

    protected $description = 'Draw what a figure looks like when a tier is painted, or when some passes of it are';

    protected function work(): int
    {
        $request = $this->request();
        $out = $this->needed('out');
        $view = View::tryFrom($this->needed('view'));
        if ($view === null || ! $view->isOutlined()) {
            throw new InvalidArgumentException('--view: front and back are drawn; the others are not.');
        }
        $plan = $this->planner()->plan($request);
        $drawn = (new Booth())->draw(
            new BoothRequest(
                $request->sculpt,
                Coat::all($this->done($plan)),
                $view,
                $this->wholeNumber('width', 120, 2000),
                $this->wholeNumber('seed', 0, PHP_INT_MAX),
                $this->faults($plan),
            ),
        );
        file_put_contents($out, Png::of($drawn));
        $this->line("$out: $drawn->width × $drawn->height, ".round($drawn->scale, 1).' pixels a mm');

        return self::SUCCESS;
    }

    /** @return list<Step> */
    private function done(Plan $plan): array
    {
        $passes = $this->option('done') === null ? count($plan->work->passes) : $this->wholeNumber('done', 0, 10_000);
        $done = [];
        foreach (array_slice($plan->work->passes, 0, $passes) as $pass) {
            foreach ($pass->steps as $i) {
                $done[] = $plan->work->steps[$i];
            }
        }

        return $done;
    }

    /** @return list<PlantedFault> */
    private function faults(Plan $plan): array
    {
        $faults = [];
        foreach ((array) $this->option('fault') as $given) {
            $parts = explode(':', is_string($given) ? $given : '');
            $size = $parts[2] ?? null;
            if (count($parts) < 2 || count($parts) > 3 || ($size !== null && ! is_numeric($size))) {
                throw new InvalidArgumentException("--fault: \"$given\" is not of the form KEY:AREA or KEY:AREA:SIZE.");
            }
            if (! $plan->request->sculpt->has($parts[1])) {
                $figure = $plan->request->sculpt->name;
                throw new InvalidArgumentException("--fault: $figure has no area \"$parts[1]\".");
            }
            $faults[] = new PlantedFault($parts[0], $parts[1], $size === null ? null : (float) $size);
        }

        return $faults;
    }
}
