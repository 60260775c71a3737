<?php

declare(strict_types=1);

namespace App\Pictures;

use GdImage;
use Ordotype\Core\Picture\Photo\ColourProfile;

/** Colour profiles in picture files: found, and taken out of the pixels so that what is kept is sRGB. */
final class Profiles
{
    /** A profile is a few kilobytes; what claims to be more is none. */
    private const MOST = 4_000_000;

    /** @return ColourProfile|null null where there is none, or none that changes anything */
    public static function of(string $file): ?ColourProfile
    {
        $icc = str_starts_with($file, "\x89PNG") ? self::inPng($file) : self::inJpeg($file);
        $profile = $icc === null ? null : ColourProfile::ofIcc($icc);

        return $profile === null || $profile->isSrgb() ? null : $profile;
    }

    private static function inPng(string $file): ?string
    {
        for ($at = 8; $at + 12 <= strlen($file);) {
            $length = (int) (unpack('N', substr($file, $at, 4))[1] ?? 0);
            $type = substr($file, $at + 4, 4);
            if ($type === 'IDAT') {
                return null;
            }
            if ($type === 'iCCP') {
                $chunk = substr($file, $at + 8, $length);
                $name = strpos($chunk, "\0");
                $icc = $name === false ? false : @gzuncompress(substr($chunk, $name + 2), self::MOST);

                return $icc === false ? null : $icc;
            }
            $at += 12 + $length;
        }

        return null;
    }

    /** It may lie in several segments, each numbered. */
    private static function inJpeg(string $file): ?string
    {
        $parts = [];
        for ($at = 2; str_starts_with($file, "\xff\xd8") && $at + 4 < strlen($file) && $file[$at] === "\xff";) {
            $marker = ord($file[$at + 1]);
            if ($marker === 0xDA) {
                break;
            }
            $length = (int) (unpack('n', substr($file, $at + 2, 2))[1] ?? 0);
            $segment = substr($file, $at + 4, max(0, $length - 2));
            if ($marker === 0xE2 && str_starts_with($segment, "ICC_PROFILE\0")) {
                $parts[ord($segment[12] ?? "\0")] = substr($segment, 14);
            }
            $at += 2 + max(2, $length);
        }
        ksort($parts);

        return $parts === [] ? null : implode('', $parts);
    }

    public static function applied(GdImage $image, ColourProfile $profile): GdImage
    {
        imagepalettetotruecolor($image);
        imagealphablending($image, false);
        [$width, $height] = [imagesx($image), imagesy($image)];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $c = (int) imagecolorat($image, $x, $y);
                imagesetpixel($image, $x, $y, ($c & 0x7F000000) | $profile->toSrgb($c & 0xFFFFFF));
            }
        }

        return $image;
    }
}
