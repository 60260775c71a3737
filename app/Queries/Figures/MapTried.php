<?php

declare(strict_types=1);

namespace App\Queries\Figures;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problem;
use Ordotype\Core\Sculpt\OutlinedSurface;
use Ordotype\Core\Words\MapWords;
use stdClass;

/**
 * A map that is not kept yet: what its format refuses, what is odd about it, and the shares its outlines propose.
 */
final class MapTried
{
    /** @return array<string, mixed> */
    public function of(stdClass $document): array
    {
        $problems = [];
        try {
            $sculpt = SculptFormat::readAnew($document);
        } catch (FormatException $e) {
            $names = self::names($document);
            $problems = array_map(
                fn (Problem $p) => ['where' => MapWords::where($p->path, $names), 'detail' => $p->reason],
                $e->problems,
            );
            try {
                // Shares that do not make 100 yet are no reason not to look at the outlines that propose them.
                $sculpt = SculptFormat::read(self::sharedOut($document));
            } catch (FormatException) {
                return ['problems' => $problems, 'findings' => [], 'shares' => new stdClass()];
            }
        }

        return [
            'problems' => $problems,
            'findings' => MapShown::findings($sculpt),
            'shares' => (object) (new OutlinedSurface($sculpt))->shares(),
        ];
    }

    /** @return list<string> of the areas, in their order; empty where one has none */
    private static function names(stdClass $document): array
    {
        $areas = is_array($document->areas ?? null) ? array_values($document->areas) : [];

        return array_map(
            fn (mixed $a) => $a instanceof stdClass && is_string($a->name ?? null) ? $a->name : '',
            $areas,
        );
    }

    private static function sharedOut(stdClass $document): stdClass
    {
        $copy = Json::decode(Json::encode($document));
        assert($copy instanceof stdClass);
        $areas = is_array($copy->areas ?? null)
            ? array_filter(
                $copy->areas,
                fn (mixed $a) => $a instanceof stdClass && is_numeric($a->share_pct ?? null) && $a->share_pct > 0,
            )
            : [];
        $sum = array_sum(array_map(fn (stdClass $a) => (float) $a->share_pct, $areas));
        foreach ($sum > 0.0 ? $areas : [] as $area) {
            $area->share_pct = (100 * $area->share_pct) / $sum;
        }

        return $copy;
    }
}
