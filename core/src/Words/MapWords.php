<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\MapFinding;
use Ordotype\Core\Sculpt\MapOddity;

/** What is odd about a sculpt's map, in words. */
final class MapWords
{
    /**
     * Where in a map something is wrong, as the map calls it: "Left boot, share".
     *
     * @param  string  $pointer  of RFC 6901, into the document
     * @param  list<string>  $names  of its areas, in their order; one that has none is called by its place
     */
    public static function where(string $pointer, array $names): string
    {
        $parts = array_slice(explode('/', $pointer), 1);
        if (($parts[0] ?? '') !== 'areas' || ! isset($parts[1])) {
            return match ($parts[0] ?? '') {
                'areas' => 'The areas',
                '' => 'The map',
                default => Terms::capital(self::field($parts[0])),
            };
        }
        $name = $names[(int) $parts[1]] ?? '';
        $area = $name === '' ? 'Area '.((int) $parts[1] + 1) : $name;

        return isset($parts[2]) ? "$area, ".self::field($parts[2]) : $area;
    }

    /** What a field of a map or of an area is called on the screen. */
    private static function field(string $key): string
    {
        return match ($key) {
            'share_pct' => 'share',
            'surface_cm2' => 'surface',
            'base_mm' => 'base',
            'frame_mm' => 'height and width',
            'access' => 'how well it is reached',
            default => Terms::plain($key),
        };
    }

    public static function of(MapFinding $f): string
    {
        $area = $f->area->name ?? 'The figure';
        $others = implode(', ', array_map(fn (Area $a) => $a->name, $f->others));

        return match ($f->kind) {
            MapOddity::NoOutlines => 'This is a quick sculpt: planning works, drawing and measuring do not '.
                'until areas are outlined.',
            MapOddity::NoMain => 'No area is a main one, so nothing that is asked of main areas is asked of '.
                'this figure.',
            MapOddity::SurroundApart => "$area is framed by $others, but the two are not said to touch.",
            MapOddity::LargeDetail => "$area is a detail and has ".
                Terms::number($f->area->sharePct ?? 0.0).
                ' % of the surface.',
            MapOddity::TooFewPoints => "Ring $f->ring of $area at the $f->view has fewer than three points.",
            MapOddity::CrossesItself => "Ring $f->ring of $area at the $f->view crosses itself.",
            MapOddity::Hidden => "$area cannot be seen at the $f->view: areas of higher layers cover it.",
            MapOddity::NotOutlined => "$area has no outline: it is planned, but not drawn or measured.",
            MapOddity::Facing => "$area faces {$f->area?->facing->value} and is outlined on the other side only.",
            MapOddity::Share => "$area has ".
                Terms::number($f->area->sharePct ?? 0.0).
                ' % of the surface, but '.
                Terms::number($f->figure ?? 0.0).
                ' % of what is outlined.',
            MapOddity::TouchesApart => "$area and $others are said to touch and lie ".
                round($f->figure ?? 0.0).
                ' mm apart in the outlines.',
            MapOddity::SameLayer => "$area and $others lie over one another at ".
                "the $f->view and have the same layer: one of them must be higher.",
            MapOddity::TouchesUnsaid => "$area meets $others in the outlines and is not said to touch ".
                (count($f->others) === 1 ? 'it' : 'them').
                ': right where one only stands before the other.',
        };
    }
}
