<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Sculpt;

/** Measures what can be measured of each area in a photograph, and says why where it cannot. */
final readonly class Meter
{
    private const LEAST_PIXELS = 400;

    /** Pixels a mm up to which every row is counted. */
    private const ENOUGH = 30.0;

    /** Fewer make valleys between tones by chance. */
    private const LEAST_FOR_TONES = 2500;

    private const CLIPPED_AT = 250;

    private const MOST_CLIPPED = 0.01;

    private const DARK = 8.0;

    private const SEEN = 0.5;

    /** Share of the areas that must be so for the picture to be so. */
    private const MOVED = 0.15;

    private const BLURRED = 0.4;

    /** Of fewer areas nothing is said of the whole picture. */
    private const LEAST_AREAS = 5;

    /** Of an area, that a bare spot must have. */
    private const LEAST_BARE = 0.005;

    /** @var array{array<int, float>, array<int, float>, array<int, float>} what each byte of a channel adds to Y */
    private array $luminance;

    /** @var array<int, int> */
    private array $bins;

    /** @var array<int, float> */
    private array $linear;

    /**
     * @param  Shading|null  $shading  the light on the model, where it is known: it is taken out of tones and lines
     */
    public function __construct(
        private Sculpt $sculpt,
        private GreyCard $card,
        private PlannedPaint $planned = new PlannedPaint(),
        private ?Shading $shading = null,
    ) {
        $this->linear = array_map(Light::linear(...), range(0, 255));
        $luminance = [];
        foreach ($card->luminance() as $weight) {
            $luminance[] = array_map(fn (float $light) => $weight * $light * 4095, $this->linear);
        }
        $this->luminance = [$luminance[0], $luminance[1], $luminance[2]];
        $this->bins = Light::bins();
    }

    /** @return array<string, AreaMeasure> by area key, those that have outlines in the view */
    public function measure(Pixels $pixels, Placement $placement): array
    {
        $layout = new Layout($this->sculpt, $placement, $pixels->width(), $pixels->height());
        $every = self::every($layout);
        $tables = [];
        foreach ($layout->rings as $ring) {
            $key = $ring->area->key;
            $tables[$key] ??= new AreaTables();
            $tables[$key]->within += intdiv($layout->within[$ring->no], $every);
            foreach ($layout->runs[$ring->no] as $y => $runs) {
                if ($y % $every !== 0) {
                    continue;
                }
                $band = (int) ((($y - $ring->top) * AreaTables::BANDS) / max(1, $ring->height));
                $band = max(0, min(AreaTables::BANDS - 1, $band)) * Light::BINS;
                foreach ($runs as [$from, $to]) {
                    $run = $pixels->run($y, $from, $to);
                    $this->count($tables[$key], $ring->no, $band, $run);
                    if ($this->shading !== null) {
                        $this->unlit($tables[$key], $run, $this->shading->run($placement, $y, $from, $to));
                    }
                }
            }
        }
        $wrong = $this->wrong(array_keys($tables), new Edges($layout, $pixels));
        $measures = [];
        foreach ($tables as $key => $table) {
            $measures[$key] =
                $wrong === Unmeasured::Moved
                    ? self::nothing($this->sculpt->area($key), $table, $wrong)
                    : $this->of($this->sculpt->area($key), $table, $layout, $pixels, $placement, $wrong);
        }

        return $measures;
    }

    /** Of so many rows one is counted: a large photograph shows far more pixels than a percentile needs. */
    private static function every(Layout $layout): int
    {
        return max(1, (int) ($layout->scale / self::ENOUGH));
    }

    /**
     * What is wrong with the whole picture: it is moved or blurred where enough of its areas are.
     *
     * @param  list<string>  $keys  of areas
     */
    private function wrong(array $keys, Edges $edges): ?Unmeasured
    {
        $found = array_map(fn (string $key) => $edges->wrong($this->sculpt->area($key)), $keys);
        $all = count($keys);
        $share = fn (Unmeasured $wrong): float => count(array_keys($found, $wrong, true)) / max(1, $all);

        return match (true) {
            $all < self::LEAST_AREAS => null,
            $share(Unmeasured::Blurred) >= self::BLURRED => Unmeasured::Blurred,
            $share(Unmeasured::Moved) >= self::MOVED => Unmeasured::Moved,
            default => null,
        };
    }

    private static function nothing(Area $area, AreaTables $table, Unmeasured $why): AreaMeasure
    {
        $none = Figure::none($why, $table->pixels);

        return new AreaMeasure($area, $table->pixels, $why, $none, $none, $none, $none, $none, null, null);
    }

    /** @param  array<int, int>  $run */
    private function count(AreaTables $table, int $ring, int $band, array $run): void
    {
        [$reds, $greens, $blues] = $this->luminance;
        $bins = $this->bins;
        $last = count($bins) - 1;
        // Taken out while they are written to: what is held twice would be copied for every run.
        $heights = $table->heights[$ring] ?? [];
        $table->heights[$ring] = [];
        $colours = $table->colours;
        $table->colours = [];
        foreach ($run as $c) {
            $r = ($c >> 16) & 255;
            $g = ($c >> 8) & 255;
            $b = $c & 255;
            $colour = (($r >> 2) << 12) | (($g >> 2) << 6) | ($b >> 2);
            $colours[$colour] = ($colours[$colour] ?? 0) + 1;
            $y = (int) ($reds[$r] + $greens[$g] + $blues[$b] + 0.5);
            $at = $band + $bins[$y < 0 ? 0 : ($y > $last ? $last : $y)];
            $heights[$at] = ($heights[$at] ?? 0) + 1;
            if ($r >= self::CLIPPED_AT || $g >= self::CLIPPED_AT || $b >= self::CLIPPED_AT) {
                $table->clipped++;
            }
        }
        $table->heights[$ring] = $heights;
        $table->colours = $colours;
        $table->pixels += count($run);
    }

    /**
     * Counts the paint as it would look with the same light everywhere.
     *
     * @param  array<int, int>  $run
     * @param  array<int, float>  $light
     */
    private function unlit(AreaTables $table, array $run, array $light): void
    {
        [$reds, $greens, $blues] = $this->luminance;
        $last = count($this->bins) - 1;
        foreach ($run as $k => $c) {
            if ($light[$k] > 0.0) {
                $y = ($reds[($c >> 16) & 255] + $greens[($c >> 8) & 255] + $blues[$c & 255]) / $light[$k];
                $table->paint[$this->bins[(int) max(0, min($last, $y + 0.5))]]++;
            }
        }
    }

    private function of(
        Area $area,
        AreaTables $table,
        Layout $layout,
        Pixels $pixels,
        Placement $placement,
        ?Unmeasured $wrong,
    ): AreaMeasure {
        $why = match (true) {
            $table->pixels < self::LEAST_PIXELS => Unmeasured::TooSmall,
            $table->pixels < self::SEEN * $table->within * 0.5 => Unmeasured::Hidden,
            $table->percentile(0.5) < self::DARK => Unmeasured::Dark,
            default => null,
        };
        if ($why !== null) {
            return self::nothing($area, $table, $why);
        }
        $n = $table->pixels;
        $isClipped = $table->clipped > self::MOST_CLIPPED * $n;
        $isShiny = $area->material->isShiny();
        $isUnlit = $this->shading !== null;
        $bins = $isUnlit ? $table->paint : $table->lightness();
        $figure = fn (float $value): Figure => $isClipped
            ? Figure::none(Unmeasured::Clipped, $n)
            : Figure::of($value, $n);

        return new AreaMeasure(
            $area,
            $n,
            $isClipped ? Unmeasured::Clipped : null,
            $figure($table->percentile(0.95) - $table->percentile(0.05)),
            match (true) {
                $isShiny => Figure::none(Unmeasured::Shiny, $n),
                in_array($area->key, $this->planned->marked, true) => Figure::none(Unmeasured::Marked, $n),
                $n < self::LEAST_FOR_TONES => Figure::none(Unmeasured::TooSmall, $n),
                $wrong !== null => Figure::none($wrong, $n),
                default => $figure(Tones::starkest($bins, $isUnlit)),
            },
            $isShiny ? Figure::none(Unmeasured::Shiny, $n) : Figure::of($table->fromAbove(), $n),
            $isShiny || $area->material === Material::Eye
                ? Figure::none(Unmeasured::Shiny, $n)
                : $this->bare($area, $table, $layout, $pixels),
            $wrong === null
                ? (new Lines($layout, $pixels, $this->shading, $placement))->width($area)
                : Figure::none($wrong, $n),
            $this->median($table),
            $isClipped || $isShiny || $n < self::LEAST_FOR_TONES ? null : Tones::of($bins, $isUnlit),
        );
    }

    private function median(AreaTables $table): Lab
    {
        $ls = $as = $bs = [];
        foreach ($table->colours as $colour => $n) {
            $lab = $this->lab($colour);
            $ls[] = [$lab->l, $n];
            $as[] = [$lab->a, $n];
            $bs[] = [$lab->b, $n];
        }

        return new Lab(self::middle($ls), self::middle($as), self::middle($bs));
    }

    /** The middle of a bin of six bits a channel, in the light of the card. */
    private function lab(int $colour): Lab
    {
        [$r, $g, $b] = GreyCard::applied($this->card->matrix, [
            $this->linear[((($colour >> 12) & 63) << 2) + 2],
            $this->linear[((($colour >> 6) & 63) << 2) + 2],
            $this->linear[(($colour & 63) << 2) + 2],
        ]);

        return Light::lab($r, $g, $b);
    }

    /** @param  list<array{float, int}>  $values  with their pixels */
    private static function middle(array $values): float
    {
        usort($values, fn (array $x, array $y) => $x[0] <=> $y[0]);
        $half = array_sum(array_map(fn (array $v) => $v[1], $values)) / 2;
        foreach ($values as [$value, $n]) {
            $half -= $n;
            if ($half <= 0) {
                return $value;
            }
        }

        return 0.0;
    }

    /** The share of the area that its largest connected bare spot has. */
    private function bare(Area $area, AreaTables $table, Layout $layout, Pixels $pixels): Figure
    {
        $colours = $this->planned->colours[$area->key] ?? [];
        $undercoat = $this->planned->undercoat;
        $bare = $undercoat === null || $colours === [] ? null : new Bare($undercoat, $colours);
        if ($bare === null || ! $bare->canBeTold()) {
            return Figure::none(Unmeasured::Alike, $table->pixels);
        }
        $found = [];
        foreach ($table->colours as $colour => $_) {
            if ($bare->isBare($this->lab($colour))) {
                $found[$colour] = true;
            }
        }
        if ($found === []) {
            return Figure::of(0.0, $table->pixels);
        }
        $spots = new Spots();
        $every = self::every($layout);
        foreach ($layout->rings as $ring) {
            foreach ($ring->area->key === $area->key ? $layout->runs[$ring->no] : [] as $y => $runs) {
                if ($y % $every !== 0) {
                    continue;
                }
                foreach ($runs as [$from, $to]) {
                    foreach ($pixels->run($y, $from, $to) as $k => $c) {
                        $colour = ((($c >> 18) & 63) << 12) | ((($c >> 10) & 63) << 6) | (($c >> 2) & 63);
                        if (isset($found[$colour])) {
                            $spots->add($from + $k, intdiv($y, $every));
                        }
                    }
                }
            }
        }
        $share = $spots->largest() / $table->pixels;

        return Figure::of($share >= self::LEAST_BARE ? $share : 0.0, $table->pixels);
    }
}
