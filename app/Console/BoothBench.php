<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\GdPixels;
use App\Pictures\Png;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\View;
use RuntimeException;
use Symfony\Component\Process\Process;

/** How long the booth draws and photographs are measured, and how much memory it takes. */
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

    /** @return list<string> what a photograph of 12 megapixels takes, and beside it a general tool's turn to Lab */
    public static function measuring(Plan $plan): array
    {
        $drawn = (new Booth())->draw(
            new BoothRequest($plan->request->sculpt, Coat::all($plan->work->steps), width: 1000),
        );
        $small = imagecreatefromstring(Png::of($drawn));
        $large = $small === false ? false : imagescale($small, 3000, 4000, IMG_BICUBIC);
        if ($large === false) {
            throw new RuntimeException('The picture could not be enlarged.');
        }
        // Grain, as a camera has it: without it a picture has few colours, and counting them is easy.
        imagefilter($large, IMG_FILTER_SCATTER, 0, 3);
        $file = tempnam(sys_get_temp_dir(), 'ordotype').'.jpg';
        imagejpeg($large, $file, 92);
        unset($large, $small);
        memory_reset_peak_usage();
        $start = hrtime(true);
        $pixels = GdPixels::of($file);
        $measures = (new Meter($plan->request->sculpt, GreyCard::none(), PlannedPaint::of($plan)))->measure(
            $pixels,
            Placement::whole(View::Front, 3000, 4000),
        );
        $own = (hrtime(true) - $start) / 1e9;
        $lines = [
            sprintf('Measuring 12 megapixels, %d areas: %.2f s, ', count($measures), $own).
                round(memory_get_peak_usage() / 1e6).
                ' MB beside the decoded picture (aim 2 s).',
            self::beside($file, $own),
        ];
        unlink($file);

        return $lines;
    }

    private static function beside(string $file, float $own): string
    {
        $start = hrtime(true);
        $lab = new Process(['convert', $file, '-colorspace', 'Lab', 'null:']);
        if ($lab->run() !== 0) {
            return 'ImageMagick is not there to be measured beside it.';
        }
        $other = (hrtime(true) - $start) / 1e9;

        return sprintf('ImageMagick turns the file to Lab in %.2f s: ratio %.2f (aim 0.5).', $other, $own / $other);
    }
}
