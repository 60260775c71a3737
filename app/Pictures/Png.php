<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Picture\Booth\BoothPicture;

/** A drawing as a PNG file (ISO/IEC 15948): eight bits a channel, each row filtered by the one above it. */
final class Png
{
    /** Says what it is to whoever opens the file elsewhere, and to the studio when it is sent back. */
    private const DRAWN = 'Drawn by Ordotype from outlines and a plan. Not a photograph.';

    public static function isDrawn(string $file): bool
    {
        return str_contains(substr($file, 0, 4096), self::DRAWN);
    }

    public static function of(BoothPicture $picture): string
    {
        $bytes = 3 * $picture->width;
        $rows = '';
        $above = str_repeat("\0", $bytes);
        $deflate = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 6]);
        assert($deflate !== false);
        for ($y = 0; $y < $picture->height; $y++) {
            $row = substr($picture->rgb, $y * $bytes, $bytes);
            $rows .= deflate_add($deflate, "\2".self::minus($row, $above), ZLIB_NO_FLUSH);
            $above = $row;
        }
        $rows .= deflate_add($deflate, '', ZLIB_FINISH);
        $head = pack('NNCCCCC', $picture->width, $picture->height, 8, 2, 0, 0, 0);
        $words = "Description\0".self::DRAWN;

        return "\x89PNG\r\n\x1a\n".
            self::chunk('IHDR', $head).
            self::chunk('sRGB', "\0").
            self::chunk('tEXt', $words).
            self::chunk('IDAT', $rows).
            self::chunk('IEND', '');
    }

    /** Byte by byte, modulo 256. */
    private static function minus(string $row, string $above): string
    {
        $one = unpack('C*', $row);
        $other = unpack('C*', $above);
        assert($one !== false && $other !== false);

        return pack('C*', ...array_map(fn (int $a, int $b) => ($a - $b) & 255, $one, $other));
    }

    private static function chunk(string $name, string $data): string
    {
        return pack('N', strlen($data)).$name.$data.pack('N', crc32($name.$data));
    }
}
