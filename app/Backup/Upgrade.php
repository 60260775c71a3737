<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Illuminate\Database\Events\MigrationStarted;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Schema;
use Ordotype\Core\Format\Json;
use stdClass;
use Throwable;

/**
 * Brings the tables up to date, or leaves them as they were. MariaDB cannot take back half a migration, so the studio
 * is kept in a file first; a note beside it says that the change is under way, until it is done. What failed is put
 * back at once, what was cut off at the next start.
 */
final class Upgrade
{
    private const KEPT = 5;

    public function __construct(
        private readonly Backup $backup,
        private readonly Restore $restore,
        private readonly Migrator $migrator,
    ) {
    }

    /**
     * @param  callable(string): mixed  $tell
     * @param  list<string>|null  $paths  of migrations; null: the application's
     *
     * @throws InstallationRefused
     */
    public function run(callable $tell, ?array $paths = null): void
    {
        $paths ??= [database_path('migrations')];
        $this->migrator->usingConnection('migrate', fn () => $this->change($tell, $paths));
    }

    /**
     * @param  callable(string): mixed  $tell
     * @param  list<string>  $paths
     */
    private function change(callable $tell, array $paths): void
    {
        if (is_file($this->note())) {
            $tell('The last change of the tables was cut off: putting them back as they were');
            $this->putBack();
        }
        if (! $this->isBehind($paths)) {
            return;
        }
        $this->keep($tell);
        $at = '';
        Event::listen(MigrationStarted::class, function (MigrationStarted $started) use (&$at): void {
            $at = basename((string) (new \ReflectionClass($started->migration))->getFileName(), '.php');
        });
        try {
            if (! $this->migrator->repositoryExists()) {
                $this->migrator->getRepository()->createRepository();
            }
            $this->migrator->run($paths);
        } catch (Throwable $e) {
            report($e);
            // Putting it back runs migrations too.
            $refusal = InstallationRefused::tablesNotChanged($at, $e);
            $this->putBack();
            throw $refusal;
        }
        unlink($this->note());
    }

    /** @param  list<string>  $paths */
    private function isBehind(array $paths): bool
    {
        if (! $this->migrator->repositoryExists()) {
            return true;
        }
        $there = array_keys($this->migrator->getMigrationFiles($paths));

        return array_diff($there, $this->migrator->getRepository()->getRan()) !== [];
    }

    /** @param  callable(string): mixed  $tell */
    private function keep(callable $tell): void
    {
        $file = null;
        if (Schema::hasTable('users') && DB::table('users')->exists()) {
            $file = $this->folder().'/before-migration-'.now()->format('Ymd-His-v').'.ordotype';
            $tell("Keeping the studio as it is before its tables change: $file");
            $this->backup->write($file);
            $old = array_slice(array_reverse(glob($this->folder().'/before-migration-*') ?: []), self::KEPT);
            array_map(unlink(...), $old);
        }
        file_put_contents($this->note(), Json::encode((object) ['kept' => $file]));
    }

    private function putBack(): void
    {
        $note = Json::decode((string) file_get_contents($this->note()));
        if ($note instanceof stdClass && is_string($note->kept)) {
            // What was kept by a version that did not seal yet never left this folder of root's.
            $this->restore->over(
                SealedReader::isSealed($note->kept)
                    ? SealedReader::open($note->kept, BackupKey::here())
                    : UnsealedBackup::open($note->kept),
            );
        } else {
            DB::connection('migrate')->getSchemaBuilder()->dropAllTables();
        }
        unlink($this->note());
    }

    private function note(): string
    {
        return $this->folder().'/changing-tables.json';
    }

    private function folder(): string
    {
        $folder = (string) config('ordotype.backups');
        if (! is_dir($folder)) {
            mkdir($folder, 0700, true);
        }

        return $folder;
    }
}
