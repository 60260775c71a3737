<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Format\Json;
use stdClass;

/** Schematic figures that a new map can start from. */
final class Templates
{
    /** @return list<array{key: string, name: string, document: stdClass}> */
    public function all(): array
    {
        $templates = [];
        foreach (glob(database_path('templates/*.json')) ?: [] as $file) {
            $document = Json::decode((string) file_get_contents($file));
            assert($document instanceof stdClass);
            $templates[] = [
                'key' => basename($file, '.json'),
                'name' => (string) $document->name,
                'document' => $document,
            ];
        }

        return $templates;
    }
}
