<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\User;

/** Somebody else has changed a person's entry since it was read. */
final class PersonChanged extends Conflict
{
    public function __construct(public readonly User $person)
    {
        parent::__construct("Somebody else has changed the entry of $person->name in the meantime.", [
            'revision' => $person->revision,
        ]);
    }
}
