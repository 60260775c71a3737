<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Picture\Photo\RgbPixels;
use Ordotype\Core\Picture\Photo\Shading;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Extent;

/** One cloak, painted in ways that measure differently: what a limit of a finish clause looks like. */
final class FinishExamples
{
    /** Pixels across. */
    public const WIDTH = 300;

    public const FILE = 'catalogue/finish-examples.json';

    public const WORD = 'ordotype/finish-examples@1';

    private const AREA = 'cloak';

    private const UNDERCOAT = '#8d8c88';

    private const BASE = '#3f6a8c';

    private const SHADE = '#1c2b3a';

    private const LIGHTS = ['#55809f', '#6f98b5', '#8bb0c8', '#a9c7d8'];

    /** Key, and size in mm or ΔE, of what is planted. */
    private const FAULTS = [
        'from_below' => ['light_from_below', null],
        'line_middle' => ['wide_line', 0.4],
        'line_wide' => ['wide_line', 0.55],
        'line_widest' => ['wide_line', 0.75],
        'bare_small' => ['bare_primer', 2.2],
        'bare_middle' => ['bare_primer', 3.6],
        'bare_large' => ['bare_primer', 5.2],
        'off_little' => ['colour_drift', 3.0],
        'off_some' => ['colour_drift', 6.0],
        'off_much' => ['colour_drift', 12.0],
    ];

    private readonly Sculpt $sculpt;

    /** @return list<string> what is drawn of a criterion, from little work to much, or a small fault to a large one */
    public static function of(Criterion $criterion): array
    {
        return match ($criterion) {
            Criterion::TonalSpan => ['undercoat', 'flat', 'washed', 'two_lights', 'four_lights'],
            Criterion::Tones => ['flat', 'one_light', 'two_lights', 'four_lights'],
            Criterion::HardStep => ['blended', 'four_lights', 'one_light'],
            Criterion::LightFromAbove => ['four_lights', 'from_below'],
            Criterion::LineWidth => ['line_fine', 'line_middle', 'line_wide', 'line_widest'],
            Criterion::BarePrimer => ['washed', 'bare_small', 'bare_middle', 'bare_large'],
            Criterion::BaseColour, Criterion::ColourDrift => ['off_little', 'off_some', 'off_much'],
            Criterion::LineShare, Criterion::LastLight => [],
        };
    }

    public function __construct(private readonly Booth $booth = new Booth())
    {
        $this->sculpt = self::sculpt('example');
    }

    private static function sculpt(string $file): Sculpt
    {
        return SculptFormat::read(Json::decode((string) file_get_contents(database_path("catalogue/$file.json"))));
    }

    public function request(string $example): BoothRequest
    {
        $fault = self::FAULTS[$example] ?? null;

        return new BoothRequest(
            $this->sculpt,
            self::coats($example),
            View::Front,
            self::WIDTH,
            1,
            $fault === null ? [] : [new PlantedFault($fault[0], self::AREA, $fault[1])],
        );
    }

    /** The cloak well painted, or what else can have it, with a fault as large as it usually is. */
    public function withFault(string $fault): BoothRequest
    {
        [$sculpt, $area, $coats] = match ($fault) {
            'eyes_uneven' => [self::sculpt('example-face'), 'eyes', self::face()],
            'rim_untidy' => [self::sculpt('example-base'), 'rim', self::base()],
            default => [$this->sculpt, self::AREA, self::coats('four_lights')],
        };

        return new BoothRequest($sculpt, $coats, View::Front, self::WIDTH, 1, [new PlantedFault($fault, $area)]);
    }

    /** @return list<Coat> */
    private static function face(): array
    {
        return [
            self::coat(null, Mark::Undercoat, self::UNDERCOAT),
            self::coat('face', Mark::Cover, '#b98560', true),
            self::coat('face', Mark::Wash, '#7a4a35'),
            self::coat('face', Mark::TwoBrush, '#d3a27c'),
            self::coat('eyes', Mark::EyeFull, '#4a5a3a', true),
        ];
    }

    /** @return list<Coat> */
    private static function base(): array
    {
        return [
            self::coat(null, Mark::Undercoat, self::UNDERCOAT),
            self::coat('ground', Mark::GroundSand, null),
            self::coat('ground', Mark::GroundPaint, '#6d5a41', true),
            self::coat('rim', Mark::Rim, '#26241f', true),
        ];
    }

    private static function coat(?string $area, Mark $mark, ?string $hex, bool $isBase = false): Coat
    {
        return new Coat($area, $mark, Extent::Full, $hex === null ? null : Srgb::fromHex($hex), $isBase);
    }

    /** @return list<Coat> */
    private static function coats(string $example): array
    {
        $coat = fn (Mark $mark, ?string $hex, bool $isBase = false): Coat => self::coat(
            $mark === Mark::Undercoat ? null : self::AREA,
            $mark,
            $hex,
            $isBase,
        );
        $under = [$coat(Mark::Undercoat, self::UNDERCOAT)];
        $flat = [...$under, $coat(Mark::Cover, self::BASE, true)];
        $washed = [...$flat, $coat(Mark::Wash, self::SHADE)];
        $lit = fn (string ...$lights): array => [
            ...$washed,
            ...array_map(fn (string $hex) => $coat(Mark::Layer, $hex), array_values($lights)),
        ];

        return match (true) {
            $example === 'undercoat' => $under,
            $example === 'flat' => $flat,
            $example === 'one_light' => $lit(self::LIGHTS[3]),
            $example === 'two_lights' => $lit(self::LIGHTS[0], self::LIGHTS[1]),
            $example === 'four_lights', $example === 'from_below' => $lit(...self::LIGHTS),
            $example === 'blended' => [...$washed, $coat(Mark::TwoBrush, self::LIGHTS[3])],
            str_starts_with($example, 'line_') => [...$washed, $coat(Mark::Edge, self::LIGHTS[3])],
            default => $washed,
        };
    }

    /** @return array<string, array<string, float>> by criterion, then by example: what is measured of it */
    public function measured(): array
    {
        $bare = $this->measure('undercoat', null)[1];
        $shading = new Shading(
            $bare,
            Placement::whole(View::Front, $bare->width(), $bare->height()),
            GreyCard::none(),
            Srgb::fromHex(self::UNDERCOAT),
        );
        $seen = [];
        $of = function (string $example) use (&$seen, $shading): AreaMeasure {
            return $seen[$example] ??= $this->measure($example, $shading)[0];
        };
        $plain = $of('washed');
        $values = [];
        foreach (Criterion::cases() as $criterion) {
            foreach (self::of($criterion) as $example) {
                $m = $of($example);
                $value = match ($criterion) {
                    Criterion::TonalSpan => $m->contrast->value,
                    Criterion::Tones => $m->tones === null ? null : (float) count($m->tones),
                    Criterion::HardStep => $m->stark->value,
                    Criterion::LightFromAbove => $m->fromAbove->value,
                    Criterion::LineWidth => $m->lineWidth->value,
                    Criterion::BarePrimer => $m->bare->value === null ? null : 100 * $m->bare->value,
                    Criterion::BaseColour, Criterion::ColourDrift => $m->colour === null || $plain->colour === null
                        ? null
                        : $m->colour->deltaE00($plain->colour),
                    Criterion::LineShare, Criterion::LastLight => null,
                };
                if ($value !== null) {
                    $values[$criterion->value][$example] = round($value, 2);
                }
            }
        }

        return $values;
    }

    /** @return array{AreaMeasure, RgbPixels} */
    private function measure(string $example, ?Shading $shading): array
    {
        $picture = $this->booth->draw($this->request($example));
        $pixels = new RgbPixels($picture->width, $picture->height, $picture->rgb);
        $paint = [Srgb::fromHex(self::BASE), Srgb::fromHex(self::SHADE)];
        $planned = new PlannedPaint([self::AREA => $paint], [], Srgb::fromHex(self::UNDERCOAT));
        $measures = (new Meter($this->sculpt, GreyCard::none(), $planned, $shading))->measure(
            $pixels,
            Placement::whole(View::Front, $picture->width, $picture->height),
        );

        return [$measures[self::AREA], $pixels];
    }
}
