<?php

declare(strict_types=1);

namespace App\Exceptions;

use Throwable;

/** A change of the tables that failed on the way; they were put back. */
final class TablesNotChanged extends Refusal
{
    public function __construct(string $migration, Throwable $why)
    {
        parent::__construct(
            "The tables could not be changed: $migration failed. Everything stands as it was before. Why: ".
                $why->getMessage(),
        );
    }
}
