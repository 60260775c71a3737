<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A backup that is not whole: nothing of it is taken. */
final class BackupDamaged extends Refusal
{
    public function __construct(string $why)
    {
        parent::__construct("This backup cannot be used: $why. Nothing was changed.");
    }
}
