<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Inspection\FaultCatalogue;

/** The shipped fault table. */
final class Faults
{
    private static ?FaultCatalogue $catalogue = null;

    public static function catalogue(): FaultCatalogue
    {
        return self::$catalogue ??= FaultCatalogue::read(
            Json::decode((string) file_get_contents(database_path('catalogue/faults.json'))),
        );
    }
}
