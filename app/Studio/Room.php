<?php

declare(strict_types=1);

namespace App\Studio;

/**
 * Room on the disks that the studio writes to: its own files and, where it stands here, its database. A database that
 * fills its disk to the last byte can stop working altogether, so nothing is written any more a little before that.
 */
final class Room
{
    /** How much more than the least there should be. */
    private const ENOUGH = 4;

    /** @return 'enough'|'low'|'none' none: nothing can be kept */
    public static function left(): string
    {
        $least = ((float) config('ordotype.least_mb')) * 1024 * 1024;
        $free = min(array_map(fn (string $folder) => (float) @disk_free_space($folder), self::folders()));

        return match (true) {
            // Only trying tells whether a disk has become one to be read only.
            $free < $least, ! @touch(storage_path('app/room')) => 'none',
            $free < self::ENOUGH * $least => 'low',
            default => 'enough',
        };
    }

    /** @return non-empty-list<string> */
    private static function folders(): array
    {
        return [storage_path('app'), ...array_filter([base_path('var/mariadb')], is_dir(...))];
    }
}
