<?php

declare(strict_types=1);

/**
 * The database and the key of a studio that was restored, as `App\Backup\CurrentStudio` wrote them; nothing where the
 * first one is still in use. Read by the configuration, before there is an application.
 *
 * @return array{database?: string, key?: string, before?: string}
 */
function studio_in_use(string $file): array
{
    if ($file === '' || ! file_exists($file)) {
        return [];
    }
    // One that cannot be read is no reason to show the studio of before.
    $read = json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR);

    return is_array($read) ? $read : throw new RuntimeException("$file does not say which studio is in use.");
}
