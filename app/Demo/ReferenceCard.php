<?php

declare(strict_types=1);

namespace App\Demo;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Sculpt\Sculpt;

/** Stands in for the picture a client sends: a figure drawn from its outlines, on a card. */
final class ReferenceCard
{
    private const PIXELS_A_MM = 12;

    /** @return string a PNG file */
    public static function png(Sculpt $sculpt, Scheme $scheme, Shelf $shelf): string
    {
        [$width, $height] = array_map(
            fn (float $mm) => (int) round($mm * self::PIXELS_A_MM),
            $sculpt->frameMm ?? [60.0, 80.0],
        );
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        assert($image !== false);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 226, 220, 205));
        $areas = $sculpt->areas;
        usort($areas, fn ($a, $b) => $a->layer <=> $b->layer);
        foreach ($areas as $area) {
            $base = $scheme->for($area)?->base;
            $hex = ($base === null ? null : $shelf->colourOf($base)?->hex()) ?? Srgb::fromHex('#9a9a9a')->hex();
            $colour = (int) imagecolorallocate(
                $image,
                (int) hexdec(substr($hex, 1, 2)),
                (int) hexdec(substr($hex, 3, 2)),
                (int) hexdec(substr($hex, 5, 2)),
            );
            $ink = (int) imagecolorallocatealpha($image, 30, 26, 24, 40);
            foreach ($area->outline['front'] ?? [] as $ring) {
                $points = array_merge(
                    ...array_map(fn (array $p) => [(int) round($p[0] * $width), (int) round($p[1] * $height)], $ring),
                );
                imagefilledpolygon($image, $points, $colour);
                imagepolygon($image, $points, $ink);
            }
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }
}
