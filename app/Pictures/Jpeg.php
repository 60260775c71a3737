<?php

declare(strict_types=1);

namespace App\Pictures;

/** What the decoder does not say of a JPEG file: it fills what is missing with grey (ITU-T T.81, annex B). */
final class Jpeg
{
    /** Whether the file goes on to its end mark. */
    public static function isWhole(string $file): bool
    {
        $at = 2;
        while (preg_match('/\G\xFF+([^\x00\xFF])/s', $file, $marker, 0, $at) === 1) {
            $at += strlen($marker[0]);
            $kind = ord($marker[1]);
            if ($kind === 0xD9) {
                return true;
            }
            $at += ((array) unpack('n', substr($file, $at, 2).'  '))[1];
            // After the head of a scan its data, in which a mark is one that is neither stuffing nor a restart.
            if ($kind === 0xDA) {
                $from = min($at, strlen($file));
                $next = preg_match('/\xFF+[^\x00\xFF\xD0-\xD7]/s', $file, $found, PREG_OFFSET_CAPTURE, $from);
                $at = $next === 1 ? $found[0][1] : strlen($file);
            }
        }

        return false;
    }
}
