<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Format\FaultFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Standard\FaultTable;

/** The shipped fault table. */
final class Faults
{
    private static ?FaultTable $catalogue = null;

    public static function catalogue(): FaultTable
    {
        return self::$catalogue ??= FaultFormat::read(
            Json::decode((string) file_get_contents(database_path('catalogue/faults.json'))),
        );
    }
}
