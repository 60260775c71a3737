<?php

declare(strict_types=1);

namespace App\Formats;

use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use stdClass;

/** Documents that the browser sends without their format, which the address says already. */
final class Documents
{
    public static function scheme(stdClass $document): stdClass
    {
        return (object) (['format' => SchemeFormat::WORD] + (array) $document);
    }

    public static function sculpt(stdClass $document): stdClass
    {
        return (object) (['format' => SculptFormat::WORD] + (array) $document);
    }
}
