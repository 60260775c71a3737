<?php

declare(strict_types=1);

namespace Tests\Reference;

use RuntimeException;

/** The tables in tests/Reference/data. */
final class Csv
{
    /** @return list<array<string, string>> */
    public static function rows(string $file): array
    {
        $handle = fopen(__DIR__."/data/$file", 'r') ?: throw new RuntimeException("$file is missing");
        $header = array_map(strval(...), fgetcsv($handle) ?: []);
        $rows = [];
        while (($cells = fgetcsv($handle)) !== false) {
            $rows[] = array_combine($header, array_map(strval(...), $cells));
        }

        return $rows;
    }
}
