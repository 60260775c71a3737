<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\ClauseRow;
use Ordotype\Core\Format\Json;
use stdClass;

/** Somebody else has changed a clause since it was read, or taken it out. */
final class ClauseChanged extends Conflict
{
    public function __construct(public readonly ?ClauseRow $row, ?stdClass $yours = null)
    {
        parent::__construct(
            $row === null
                ? 'Somebody else has taken this clause out in the meantime.'
                : 'Somebody else has changed this clause in the meantime.',
            ['revision' => $row->revision ?? 0, 'clause' => $row === null ? null : Json::decode($row->body)] +
                ($yours === null ? [] : ['yours' => $yours]),
        );
    }
}
