<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Scheme;
use Ordotype\Core\Format\Json;

/** Somebody else has made a new version of a scheme since it was read. */
final class SchemeChanged extends Conflict
{
    public function __construct(public readonly Scheme $scheme)
    {
        parent::__construct("Somebody else has made version $scheme->number in the meantime.", [
            'number' => $scheme->number,
            'document' => Json::decode($scheme->document),
        ]);
    }
}
