<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\User;

/** Nobody would be left to look after the studio. */
final class LastLead extends Refusal
{
    public function __construct(public readonly User $person)
    {
        parent::__construct(
            "$person->name is the only lead at work who may sign: make somebody else one first.",
            '/role',
            409,
        );
    }
}
