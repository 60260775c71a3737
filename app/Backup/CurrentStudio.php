<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use RuntimeException;

/**
 * Which database and which application key are the studio's, where a restored one took the place of the first. One
 * file says so (`support/studio.php` reads it before anything is configured); renaming it is the switch.
 */
final class CurrentStudio
{
    public static function database(): string
    {
        return (string) config('database.connections.migrate.database');
    }

    /** The database that was in use before, kept until the next time. */
    public static function before(): ?string
    {
        $before = studio_in_use((string) config('ordotype.studio'))['before'] ?? null;

        return is_string($before) ? $before : null;
    }

    public static function become(string $database, string $before, string $key): void
    {
        $file = (string) config('ordotype.studio');
        $part = "$file.part";
        touch($part);
        chmod($part, 0640);
        // Whoever may read the settings may read this.
        $group = is_file(base_path('.env')) ? filegroup(base_path('.env')) : false;
        if ($group !== false) {
            @chgrp($part, $group);
        }
        $text = Json::encode(['database' => $database, 'key' => $key, 'before' => $before]);
        $out = fopen($part, 'w') ?: throw new RuntimeException("$part cannot be written");
        if (fwrite($out, $text) !== strlen($text) || ! fsync($out) || ! fclose($out) || ! rename($part, $file)) {
            throw new RuntimeException("$file cannot be written");
        }
        // The worker still reads the studio of before: told there, it ends, and is begun anew in this one.
        Artisan::call('queue:restart');
        foreach (['mariadb', 'aside', 'migrate'] as $name) {
            config(["database.connections.$name.database" => $database]);
            DB::purge($name);
        }
        config(['app.key' => $key]);
    }
}
