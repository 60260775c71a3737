<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\ShelfFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Standard;

/** The demo studio's documents, and small documents to try things on. */
final class Demo
{
    /** One planner for all tests: what it has solved once it need not solve again. */
    public static function planner(): Planner
    {
        static $planner = null;

        return $planner ??= new Planner();
    }

    public static function path(string $file): string
    {
        return dirname(__DIR__, 2)."/database/demo/$file";
    }

    public static function json(string $file): mixed
    {
        return Json::decode((string) file_get_contents(self::path($file)));
    }

    public static function standard(): Standard
    {
        return self::standardOf('five-rungs.json');
    }

    /** @param  string  $file  of one of the packs that ship */
    public static function standardOf(string $file): Standard
    {
        return StandardFormat::read(self::json("standards/$file"));
    }

    public static function sculpt(string $name = 'sluice-warden'): Sculpt
    {
        return SculptFormat::read(self::json("sculpts/$name.json"));
    }

    public static function scheme(): Scheme
    {
        return SchemeFormat::read(self::json('schemes/tidemark.json'));
    }

    public static function shelf(): Shelf
    {
        return ShelfFormat::readCsv((string) file_get_contents(self::path('shelf.csv')));
    }

    /**
     * The demo's catalogue with a ladder of one tier that holds just these clauses.
     *
     * @param  list<array<string, mixed>>  $clauses
     * @param  array<string, mixed>  $tier
     */
    public static function tierOf(array $clauses, array $tier = []): Standard
    {
        return self::ladderOf(['tier' => $clauses], ['tier' => $tier]);
    }

    /**
     * The demo's catalogue with a ladder of tiers, lowest first, that hold just these clauses.
     *
     * @param  array<string, list<array<string, mixed>>>  $ladder  clauses by tier
     * @param  array<string, array<string, mixed>>  $tiers  what a tier has otherwise than usual
     */
    public static function ladderOf(array $ladder, array $tiers = []): Standard
    {
        $document = self::json('standards/five-rungs.json');
        assert($document instanceof \stdClass);
        $document->prices = $document->tiers = [];
        foreach ($ladder as $key => $clauses) {
            $document->tiers[] = self::object(
                ($tiers[$key] ?? []) + [
                    'key' => $key,
                    'name' => ucfirst($key),
                    'order' => count($document->tiers) + 1,
                    'status' => 'offered',
                    'intent' => '',
                    'pace' => 'fast',
                    'aim' => 'quickest',
                    'default_status' => 'allowed',
                    'viewing' => ['distance_cm' => 60, 'angle_arcmin' => 2],
                    'clauses' => array_map(
                        fn (array $c, int $i) => $c + ['id' => "$key.$i"],
                        $clauses,
                        array_keys($clauses),
                    ),
                ],
            );
        }

        return StandardFormat::read($document);
    }

    /**
     * A sculpt of these areas; what is not said of an area is plain.
     *
     * @param  array<string, array<string, mixed>>  $areas
     * @param  array<string, mixed>  $sculpt
     */
    public static function sculptOf(array $areas, array $sculpt = []): Sculpt
    {
        $list = [];
        foreach ($areas as $key => $area) {
            $list[] = $area + [
                'key' => $key,
                'name' => ucfirst($key),
                'material' => 'cloth',
                'relief' => ['soft_folds'],
                'rank' => 'main',
                'focus' => 1,
                'facing' => 'both',
                'layer' => count($list),
                'share_pct' => 100 / count($areas),
                'count' => 1,
                'access' => 1,
                'part' => null,
                'touches' => [],
                'surround' => null,
                'outline' => (object) [],
            ];
        }

        return SculptFormat::read(
            self::object(
                $sculpt + [
                    'format' => SculptFormat::WORD,
                    'name' => 'Figure',
                    'role' => 'regular',
                    'size' => 'infantry',
                    'base_mm' => 32,
                    'surface_cm2' => 40,
                    'parts' => [],
                    'areas' => $list,
                ],
            ),
        );
    }

    public static function object(mixed $document): mixed
    {
        return json_decode(json_encode($document, JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR);
    }
}
