<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\GdPixels;
use InvalidArgumentException;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MeasureFormat;
use Ordotype\Core\Format\PlacementFormat;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\Figure;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Picture\Photo\Shading;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Words\PhotoWords;
use Symfony\Component\Console\Output\OutputInterface;

final class MeasureCommand extends CoreCommand
{
    protected $signature = 'ordotype:measure
        {photo : PNG, JPEG or WebP}
        {--standard= : file in ordotype/standard@1}
        {--tier= : key of the tier}
        {--sculpt= : file in ordotype/sculpt@1, with outlines}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1, one or a list}
        {--shelf= : CSV of paints: name,kind,hex,hiding,ml}
        {--pieces=1 : how many are painted together}
        {--view=front : front or back}
        {--placement= : file in ordotype/placement@1; without it the photograph is taken to show just the frame}
        {--card= : LEFT,TOP,RIGHT,BOTTOM of the middle field of the grey card, pixels}
        {--undercoat=#8d8c88 : its colour, to look for where it shows}
        {--undercoated= : the figure in undercoat alone, photographed likewise: takes the light out}
        {--json : print the figures as JSON}';

    protected $description = 'Measure a photograph of a painted model, area by area';

    protected function work(): int
    {
        $photo = $this->argument('photo');
        $pixels = GdPixels::of(is_string($photo) ? $photo : '');
        $request = $this->request();
        $view = View::tryFrom($this->needed('view')) ?? throw new InvalidArgumentException('--view: front or back.');
        $placement = $this->file('placement');
        $placed =
            $placement === null
                ? Placement::whole($view, $pixels->width(), $pixels->height())
                : PlacementFormat::read(Json::decode((string) file_get_contents($placement)), $request->sculpt);
        $card = $this->card();
        $undercoat = $this->needed('undercoat');
        if (! Srgb::isHex($undercoat)) {
            throw new InvalidArgumentException("--undercoat: \"$undercoat\" is not a colour of the form #rrggbb.");
        }
        $meter = new Meter(
            $request->sculpt,
            $card === null ? GreyCard::none() : GreyCard::in($pixels, $card),
            PlannedPaint::of($this->planner()->plan($request))->over(
                $card === null ? null : Srgb::fromHex($undercoat),
            ),
            $this->shading($placed, $view, $card, Srgb::fromHex($undercoat)),
        );
        $this->print($meter->measure($pixels, $placed), $card !== null);

        return self::SUCCESS;
    }

    /** @param  array<string, AreaMeasure>  $measures */
    private function print(array $measures, bool $hasCard): void
    {
        if ($this->option('json') === true) {
            $written = Json::encode(MeasureFormat::write($measures));
            $this->output->write($written, false, OutputInterface::OUTPUT_RAW);

            return;
        }
        $shown = fn (Figure $f, string $format): string => $f->value === null
            ? PhotoWords::why($f->why)
            : sprintf($format, $f->value);
        $this->table(
            ['Area', 'Pixels', 'Contrast L*', 'Tones', 'Stark step', 'Light from above', 'Bare', 'Line mm'],
            array_map(
                fn (AreaMeasure $m): array => [
                    $m->area->name,
                    $m->pixels,
                    $shown($m->contrast, '%.1f'),
                    $m->tones === null ? '–' : count($m->tones),
                    $shown($m->stark, '%.2f'),
                    $shown($m->fromAbove, '%+.2f'),
                    $hasCard ? $shown($m->bare, '%.3f') : PhotoWords::noCard(),
                    $shown($m->lineWidth, '%.2f'),
                ],
                $measures,
            ),
        );
        if (! $hasCard) {
            $this->line(PhotoWords::withoutCard());
        }
    }

    /** @param  array{int, int, int, int}|null  $card */
    private function shading(Placement $placed, View $view, ?array $card, Srgb $undercoat): ?Shading
    {
        $file = $this->file('undercoated');
        if ($file === null) {
            return null;
        }
        $bare = GdPixels::of($file);
        $light = $card === null ? GreyCard::none() : GreyCard::in($bare, $card);
        $isWhole = $this->file('placement') === null;

        return new Shading(
            $bare,
            $isWhole ? Placement::whole($view, $bare->width(), $bare->height()) : $placed,
            $light,
            $undercoat,
        );
    }

    /** @return array{int, int, int, int}|null */
    private function card(): ?array
    {
        $given = $this->option('card');
        if ($given === null) {
            return null;
        }
        $numbers = is_string($given) ? explode(',', $given) : [];
        if (count($numbers) !== 4 || array_filter($numbers, fn (string $n) => ! ctype_digit(trim($n))) !== []) {
            throw new InvalidArgumentException('--card: four whole numbers, LEFT,TOP,RIGHT,BOTTOM in pixels.');
        }

        return [(int) $numbers[0], (int) $numbers[1], (int) $numbers[2], (int) $numbers[3]];
    }
}
