<?php

declare(strict_types=1);

namespace App\Repositories;

use Ordotype\Core\Format\FaultFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Standard\FaultTable;

/** The shipped fault table, read once for each request that needs it. */
final class FaultCatalogue
{
    private ?FaultTable $table = null;

    public function table(): FaultTable
    {
        return $this->table ??= FaultFormat::read(
            Json::decode((string) file_get_contents(database_path('catalogue/faults.json'))),
        );
    }
}
