<?php

declare(strict_types=1);

namespace App\Formats;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\FormatException;

/** Reads a document in one of the open formats from a file, holding it against its schema first. */
final class DocumentFile
{
    /**
     * @param  string|null  $schema  the schema's name in docs/schemas, such as `standard@1`; null: none
     * @return mixed decoded JSON, objects as stdClass
     *
     * @throws UnreadableFile when there is no such file or it cannot be read
     * @throws FormatException when it is too large, not UTF-8, not JSON or not what the schema asks
     */
    public static function read(string $path, ?string $schema): mixed
    {
        $document = Json::decode(self::text($path));
        if ($schema !== null) {
            SchemaCheck::against($schema, $document);
        }

        return $document;
    }

    /** @throws UnreadableFile|FormatException */
    public static function text(string $path): string
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw new UnreadableFile(
                is_dir($path) ? "$path is a folder, not a file." : "There is no readable file at $path.",
            );
        }
        $bytes = (int) filesize($path);
        if ($bytes > Json::MAX_BYTES) {
            throw FormatException::at('', Json::tooLarge($bytes));
        }

        return (string) file_get_contents($path);
    }
}
