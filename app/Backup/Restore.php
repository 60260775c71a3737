<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Illuminate\Database\Connection;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Foundation\Link;
use Throwable;

/**
 * A studio built from a backup. Its tables and guards are made by this installation's own migrations, and nothing but
 * rows and pictures comes from the file; what is built is held against what the backup says of itself before anybody
 * works with it.
 */
final class Restore
{
    /** Pictures that were put where none were, to be taken away again when it fails. */
    /** @var list<string> */
    private array $added = [];

    public function __construct(private readonly Migrator $migrator)
    {
    }

    /**
     * Builds it in a database of its own beside the one that runs, brings its tables up to date, and has the next
     * request work with it. Until that last step, one rename, everything stands as it was.
     *
     * @throws InstallationRefused
     */
    public function beside(Source $source): void
    {
        $running = CurrentStudio::database();
        $this->sweep($running);
        $name = preg_replace('/_r[0-9a-f]{8}$/', '', $running).'_r'.bin2hex(random_bytes(4));
        try {
            DB::connection('migrate')->statement(
                "CREATE DATABASE `$name` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci",
            );
            $database = self::connect($name);
            $head = $this->build($source, $database);
            $this->migrator->usingConnection('beside', fn () => $this->migrator->run([database_path('migrations')]));
            CurrentStudio::become($name, $running, $head->key);
        } catch (Throwable $e) {
            DB::connection('migrate')->statement("DROP DATABASE IF EXISTS `$name`");
            Storage::disk()->delete($this->added);
            throw $e instanceof InstallationRefused ? $e : InstallationRefused::notRestored($e);
        }
    }

    /**
     * Builds it in the place of what the database holds, for tables that were left half changed.
     *
     * @throws InstallationRefused
     */
    public function over(Source $source): void
    {
        $database = self::connect(CurrentStudio::database());
        $database->getSchemaBuilder()->dropAllTables();
        $this->build($source, $database);
    }

    private function build(Source $source, Connection $database): Head
    {
        $head = null;
        $left = null;
        foreach ($source->records() as $kind => $bytes) {
            if ($head === null) {
                $head = Head::read($kind === Source::HEAD ? $bytes : '');
                $this->makeTables($head, $database);
                $guards = (new Tables($database))->letRowsIn();
                $filler = new Filler($database, new Tables($database));
            } elseif ($kind === Source::END) {
                $left = $filler->end();
                array_map($database->unprepared(...), $guards);
            } else {
                array_push($this->added, ...$filler->take($kind, $bytes));
            }
        }
        if ($head === null || $left === null) {
            throw InstallationRefused::backupDamaged('it does not come to an end');
        }
        $this->check($head, $database, $left);

        return $head;
    }

    /** The tables of then, by the migrations that they had been through. */
    private function makeTables(Head $head, Connection $database): void
    {
        $known = $this->migrator->getMigrationFiles([database_path('migrations')]);
        foreach ($head->migrations as $name) {
            if (! isset($known[$name])) {
                throw InstallationRefused::backupDamaged("it was made by a newer version ($name is not known here)");
            }
        }
        $this->migrator->usingConnection('beside', function () use ($head, $known): void {
            $this->migrator->getRepository()->createRepository();
            $this->migrator->run(array_map(fn (string $name) => $known[$name], $head->migrations));
        });
        $database->statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ((new Tables($database))->names() as $table) {
            $database->statement("TRUNCATE `$table`");
        }
    }

    private function check(Head $head, Connection $database, int $files): void
    {
        $database->statement('SET FOREIGN_KEY_CHECKS = 1');
        $tables = new Tables($database);
        foreach ($head->tables as $table => $rows) {
            if ($tables->rows($table) !== $rows) {
                throw InstallationRefused::backupDamaged("$table has not the rows that it had");
            }
        }
        if ($head->guards !== null && $tables->guards() !== $head->guards) {
            throw InstallationRefused::backupDamaged("it had $head->guards guards, and {$tables->guards()} stand here");
        }
        if ($files !== $head->files) {
            throw InstallationRefused::backupDamaged('it has not the pictures that it had');
        }
        $links = (function () use ($database) {
            foreach ($database->table('sign_offs')->orderBy('number')->cursor() as $one) {
                yield new Link((int) $one->number, $one->previous, $one->hash, $one->record);
            }
        })();
        if (Chain::broken($links, $head->last ?? Chain::START) !== null) {
            throw InstallationRefused::backupDamaged('the chain of its signed records is broken');
        }
    }

    /** What earlier tries left behind: databases of ours that are neither in use nor the one before. */
    private function sweep(string $running): void
    {
        $base = (string) preg_replace('/_r[0-9a-f]{8}$/', '', $running);
        $all = DB::connection('migrate')->select('SELECT schema_name AS name FROM information_schema.schemata');
        foreach ($all as $one) {
            $isOurs = preg_match('/^'.preg_quote($base, '/').'_r[0-9a-f]{8}$/', $one->name) === 1;
            if ($isOurs && ! in_array($one->name, [$running, CurrentStudio::before()], true)) {
                DB::connection('migrate')->statement("DROP DATABASE `$one->name`");
            }
        }
    }

    private static function connect(string $database): Connection
    {
        $given = ['database' => $database, 'name' => 'beside'];
        config(['database.connections.beside' => $given + DB::connection('migrate')->getConfig()]);
        DB::purge('beside');

        return DB::connection('beside');
    }
}
