<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Unit;

/** Somebody else has changed a unit since it was read. */
final class UnitChanged extends Conflict
{
    public function __construct(public readonly Unit $unit)
    {
        parent::__construct('Somebody else has changed this unit in the meantime.', [
            'revision' => $unit->revision,
            'edits' => $unit->edits,
        ]);
    }
}
