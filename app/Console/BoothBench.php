<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\Png;
use Ordotype\Core\Booth\Booth;
use Ordotype\Core\Booth\BoothRequest;
use Ordotype\Core\Booth\Coat;
use Ordotype\Core\Planning\Plan;

/** How long the booth draws, and how much memory it takes. */
final class BoothBench
{
    /** @return list<string> a line for each size */
    public static function lines(Plan $plan): array
    {
        $coats = Coat::all($plan->work->steps);
        $lines = [];
        foreach (
            [
                [240, 'A thumbnail', 'aim 1 s'],
                [720, 'A picture in the application', ''],
                [1000, 'A picture of 1000 pixels across', 'aim 8 s and 256 MB'],
            ] as [$width, $name, $aim]
        ) {
            $booth = new Booth();
            memory_reset_peak_usage();
            $start = hrtime(true);
            Png::of($booth->draw(new BoothRequest($plan->request->sculpt, $coats, width: $width)));
            $first = (hrtime(true) - $start) / 1e9;
            $start = hrtime(true);
            Png::of($booth->draw(new BoothRequest($plan->request->sculpt, $coats, width: $width, seed: 2)));
            $next = (hrtime(true) - $start) / 1e9;
            $lines[] =
                sprintf('%s: %.2f s, the next of the same figure %.2f s, ', $name, $first, $next).
                round(memory_get_peak_usage() / 1e6).
                ' MB'.
                ($aim === '' ? '.' : " ($aim).");
        }

        return $lines;
    }
}
