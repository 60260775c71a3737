<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Piece;

/** Short codes that tell models apart on their handles. */
final class PieceCodes
{
    /** Letters and digits that are not taken for one another on a handle. */
    private const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';

    private const LENGTH = 5;

    /** One that no model has. */
    public static function next(): string
    {
        do {
            $code = '';
            for ($i = 0; $i < self::LENGTH; $i++) {
                $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
            }
        } while (Piece::query()->where('code', $code)->exists());

        return $code;
    }
}
