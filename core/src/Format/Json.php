<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use JsonException;
use Ordotype\Core\Foundation\FormatException;

/** JSON text in and out. Out is always the same bytes for the same document. */
final class Json
{
    /** The largest document that is read: far above any real ladder or figure, far below what would hurt. */
    public const MAX_BYTES = 8_000_000;

    /**
     * @return mixed objects as stdClass, lists as arrays
     *
     * @throws FormatException when the text is too large, not UTF-8 or not JSON
     */
    public static function decode(string $text): mixed
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw FormatException::at('', self::tooLarge(strlen($text)));
        }
        if (preg_match('//u', $text) !== 1) {
            throw FormatException::at('', 'is not UTF-8 text; save it as UTF-8');
        }
        try {
            return json_decode($text, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw FormatException::at('', 'is not JSON: '.$e->getMessage());
        }
    }

    public static function tooLarge(int $bytes): string
    {
        return sprintf('is too large: %.1f MB, the most is %d MB', $bytes / 1e6, self::MAX_BYTES / 1e6);
    }

    public static function encode(mixed $document): string
    {
        return json_encode(
            $document,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }

    /** Without white space, members as they stand. */
    public static function compact(mixed $document): string
    {
        return json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
