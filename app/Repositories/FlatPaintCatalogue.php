<?php

declare(strict_types=1);

namespace App\Repositories;

use Ordotype\Core\Format\FlatPaintFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\FlatPaint;

/** The shipped table of what flat paint shows, read once for each request that needs it. */
final class FlatPaintCatalogue
{
    public const FILE = 'catalogue/flat-paint.json';

    private ?FlatPaint $table = null;

    public function table(): FlatPaint
    {
        return $this->table ??= FlatPaintFormat::read(
            Json::decode((string) file_get_contents(database_path(self::FILE))),
        );
    }
}
