<?php

declare(strict_types=1);

namespace App\Studio;

/** How a camera was held, as it stands in the file: tag 0x0112 of the first directory (Exif 2.3, 4.6.4). */
final class Exif
{
    /** What comes before the directories in a JPEG, a PNG and a WebP file, and how many bytes lie between. */
    private const BEFORE = ["Exif\0\0" => 0, 'eXIf' => 0, 'EXIF' => 4];

    /** @return int 1 to 8; 1, upright, where nothing is said */
    public static function orientation(string $file): int
    {
        foreach (self::BEFORE as $mark => $between) {
            $at = strpos($file, $mark);
            $tiff = $at === false ? '' : substr($file, $at + strlen($mark) + $between, 4096);
            if (str_starts_with($tiff, 'II*') || str_starts_with($tiff, 'MM')) {
                return self::tag($tiff);
            }
        }

        return 1;
    }

    private static function tag(string $tiff): int
    {
        $little = str_starts_with($tiff, 'II');
        $short = fn (int $at): int => strlen($tiff) < $at + 2
            ? 0
            : ($little
                ? ord($tiff[$at]) | (ord($tiff[$at + 1]) << 8)
                : (ord($tiff[$at]) << 8) | ord($tiff[$at + 1]));
        $first = strlen($tiff) < 8 ? 0 : ($little ? $short(4) : $short(6));
        for ($i = 0, $n = $short($first); $i < $n; $i++) {
            if ($short($first + 2 + 12 * $i) === 0x0112) {
                $said = $short($first + 2 + 12 * $i + 8);

                return $said >= 1 && $said <= 8 ? $said : 1;
            }
        }

        return 1;
    }
}
