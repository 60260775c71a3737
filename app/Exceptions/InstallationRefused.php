<?php

declare(strict_types=1);

namespace App\Exceptions;

use Throwable;

/** Backups, and changes of the tables. */
final class InstallationRefused extends Refusal
{
    /** A backup that is not whole: nothing of it is taken. */
    public static function backupDamaged(string $why): self
    {
        return new self("This backup cannot be used: $why. Nothing was changed.");
    }

    /** A change of the tables that failed on the way; they were put back. */
    public static function tablesNotChanged(string $migration, Throwable $why): self
    {
        return new self(
            "The tables could not be changed: $migration failed. Everything stands as it was before. Why: ".
                $why->getMessage(),
        );
    }
}
