<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Sculpt;
use Ordotype\Core\Format\Json;

/** Somebody else has changed a map since it was read. */
final class FigureChanged extends Conflict
{
    public function __construct(public readonly Sculpt $sculpt)
    {
        parent::__construct('Somebody else has changed this figure in the meantime.', [
            'revision' => $sculpt->revision,
            'document' => Json::decode($sculpt->document),
        ]);
    }
}
