<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\Json;
use RuntimeException;
use stdClass;
use Symfony\Component\Process\Process;

/**
 * A studio in one file: the database as it stood at one moment, then every file that it names, the application's key,
 * and a list with the SHA-256 of each. It can be written while people work; whoever holds it can read everything, so it
 * is for the owner's eyes alone (0600).
 */
final class Backup
{
    private const FORMAT = 'ordotype/backup@1';

    private const LIST = 'list.json';

    private const DUMP = 'database.sql';

    private const KEY = 'application.key';

    /** Whose rows are of no use anywhere else: who is signed in, what is being worked out. */
    private const FLEETING = ['sessions', 'cache', 'cache_locks', 'jobs', 'answered_writes'];

    private const SECONDS = 3600;

    /** @return int bytes of the file */
    public function write(string $file): int
    {
        $folder = $this->folder();
        try {
            $this->dump("$folder/".self::DUMP);
            file_put_contents("$folder/".self::KEY, self::asText(config('app.key')));
            $this->takeFiles($folder);
            file_put_contents("$folder/".self::LIST, Json::encode((object) [
                'format' => self::FORMAT,
                'made_at' => now()->toIso8601ZuluString(),
                'files' => (object) $this->sums($folder),
            ]));
            // Under another name until it is whole: what was there before is not lost to a full disk.
            $this->run(['tar', '--create', '--gzip', '--file', "$file.part", '--directory', $folder, '.']);
            chmod("$file.part", 0600);
            rename("$file.part", $file);
        } finally {
            @unlink("$file.part");
            $this->run(['rm', '-rf', $folder]);
        }

        return (int) filesize($file);
    }

    /**
     * Puts a studio back as it was, over whatever the database holds.
     *
     * @return string the application's key of then
     *
     * @throws InstallationRefused before anything is touched, when the file is not whole
     */
    public function restore(string $file): string
    {
        $folder = $this->folder();
        try {
            $this->unpack($file, $folder);
            DB::connection('migrate')->getSchemaBuilder()->dropAllTables();
            $dump = fopen("$folder/".self::DUMP, 'r');
            if ($dump === false) {
                throw InstallationRefused::backupDamaged('its database cannot be read');
            }
            $this->run([...$this->client('mariadb'), $this->database()], $dump);
            foreach (glob("$folder/files/*/*/*") ?: [] as $picture) {
                Storage::disk()->put(substr($picture, strlen("$folder/files/")), (string) file_get_contents($picture));
            }

            return (string) file_get_contents("$folder/".self::KEY);
        } finally {
            $this->run(['rm', '-rf', $folder]);
        }
    }

    private function unpack(string $file, string $folder): void
    {
        if (! is_readable($file)) {
            throw InstallationRefused::backupDamaged("there is no file $file that can be read");
        }
        try {
            $this->run(['tar', '--extract', '--gzip', '--no-same-owner', '--file', $file, '--directory', $folder]);
        } catch (RuntimeException) {
            throw InstallationRefused::backupDamaged('it is no whole archive');
        }
        $list = is_file("$folder/".self::LIST) ? Json::decode((string) file_get_contents("$folder/".self::LIST)) : null;
        if (! ($list instanceof stdClass) || ($list->format ?? null) !== self::FORMAT) {
            throw InstallationRefused::backupDamaged('it is no backup of a studio');
        }
        $there = $this->sums($folder);
        unset($there[self::LIST]);
        $listed = (array) $list->files;
        ksort($listed);
        foreach ($listed + $there as $name => $_) {
            if (($listed[$name] ?? null) !== ($there[$name] ?? null)) {
                throw InstallationRefused::backupDamaged("$name is not what it was");
            }
        }
    }

    private function dump(string $to): void
    {
        $database = $this->database();
        $out = fopen($to, 'w') ?: throw new RuntimeException("$to cannot be written");
        $fleeting = array_map(fn (string $table) => "--ignore-table-data=$database.$table", self::FLEETING);
        $this->run([
            ...$this->client('mariadb-dump'),
            '--single-transaction',
            '--triggers',
            '--hex-blob',
            '--no-tablespaces',
            ...$fleeting,
            $database,
        ], null, $out);
        fclose($out);
    }

    /** Every file that the dumped rows name; files are kept under the hash of what they hold and never purged. */
    private function takeFiles(string $folder): void
    {
        foreach (Storage::disk()->allFiles('pictures') as $path) {
            $to = "$folder/files/$path";
            if (! is_dir(dirname($to))) {
                mkdir(dirname($to), 0700, true);
            }
            file_put_contents($to, Storage::disk()->get($path));
        }
    }

    /** @return array<string, string> SHA-256 by path */
    private function sums(string $folder): array
    {
        $sums = [];
        foreach (explode("\n", trim($this->run(['find', $folder, '-type', 'f', '-printf', "%P\n"]))) as $path) {
            $sums[$path] = (string) hash_file('sha256', "$folder/$path");
        }
        ksort($sums);

        return $sums;
    }

    private function folder(): string
    {
        $folder = storage_path('app/backup-'.bin2hex(random_bytes(6)));
        mkdir($folder, 0700);

        return $folder;
    }

    private function database(): string
    {
        return self::asText(DB::connection('migrate')->getConfig('database'));
    }

    /** @return list<string> */
    private function client(string $program): array
    {
        $of = fn (string $name) => self::asText(DB::connection('migrate')->getConfig($name));

        return [$program, '--no-defaults', "--host={$of('host')}", "--port={$of('port')}", "--user={$of('username')}"];
    }

    /**
     * @param  list<string>  $command
     * @param  resource|null  $in
     * @param  resource|null  $out
     */
    private function run(array $command, $in = null, $out = null): string
    {
        $password = self::asText(DB::connection('migrate')->getConfig('password'));
        $process = new Process($command, null, ['MYSQL_PWD' => $password], $in, self::SECONDS);
        $said = '';
        $process->run(function (string $type, string $text) use ($out, &$said): void {
            if ($type === Process::OUT) {
                $out === null ? $said .= $text : fwrite($out, $text);
            }
        });
        if (! $process->isSuccessful()) {
            throw new RuntimeException("{$command[0]} failed: ".trim($process->getErrorOutput()));
        }

        return $said;
    }

    private static function asText(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
