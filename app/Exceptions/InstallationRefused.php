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

    /** It was sealed on another machine, or before this one was set up anew. */
    public static function sealedWithAnotherKey(): self
    {
        return new self(
            'This backup was sealed with the key of another installation: say its recovery key (--recovery-key). '.
                'Nothing was changed.',
        );
    }

    /** One of before they were sealed: anybody could have written it. */
    public static function notSealed(): self
    {
        return new self(
            'This backup is not sealed: whoever had it in hand could have changed what it holds. If you know where it '.
                'was all the time, take it in with --unsealed. Nothing was changed.',
        );
    }

    /** A recovery key with a slip of the pen. */
    public static function keyMisspelled(): self
    {
        return new self('That is no recovery key: it has fourteen groups of four letters. Look at it once more.');
    }

    /** There is nothing to seal with. */
    public static function noBackupKey(string $file): self
    {
        return new self("The key that backups are sealed with cannot be read: $file. Whoever installed it can.");
    }

    /** Something went wrong while a studio was built beside the one that runs. */
    public static function notRestored(Throwable $why): self
    {
        return new self("Nothing was restored, and what was here runs on as it did. Why: {$why->getMessage()}");
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
