<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Generator;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\Json;
use PDO;

/**
 * A studio in one sealed file: the rows of its database as they stood at one moment, every picture that they name, and
 * the application's key. It can be written while people work, and holds no statement that anybody could run.
 */
final class Backup
{
    /** Whose rows are of no use anywhere else: who is signed in, what is being worked out. */
    public const FLEETING = ['sessions', 'cache', 'cache_locks', 'jobs', 'answered_writes'];

    private const ROWS_AT_ONCE = 200;

    private const BYTES_AT_ONCE = 1_000_000;

    /**
     * @return int bytes of the file
     *
     * @throws InstallationRefused when there is no key to seal it with
     */
    public function write(string $file): int
    {
        $key = BackupKey::here();
        // Under another name until it is whole: what was there before is not lost to a full disk.
        $part = $file.'.'.bin2hex(random_bytes(4)).'.part';
        $out = SealedWriter::to($part, $key);
        try {
            $this->fill($out);
            $bytes = $out->close();
            rename($part, $file);
        } finally {
            @unlink($part);
        }

        return $bytes;
    }

    private function fill(SealedWriter $out): void
    {
        $database = $this->snapshot();
        $tables = new Tables($database);
        // Nothing that a row names is ever thrown away, so what is there after the rows were fixed is enough.
        $files = Storage::disk()->allFiles('pictures');
        $names = $tables->names();
        $count = fn (string $name) => $this->isFleeting($name) ? 0 : $tables->rows($name);
        $out->add(Source::HEAD, (new Head(
            now()->toIso8601ZuluString(),
            $database->table('migrations')->orderBy('id')->pluck('migration')->all(),
            array_combine($names, array_map($count, $names)),
            $tables->guards(),
            $tables->lastRecord(),
            (string) config('app.key'),
            count($files),
        ))->write());
        foreach ($names as $name) {
            $columns = $tables->columns($name);
            $out->add(Source::TABLE, Json::compact(['table' => $name, 'columns' => $columns]));
            foreach ($this->isFleeting($name) ? [] : $this->rows($database, $name, $columns) as $rows) {
                $out->add(Source::ROWS, Json::compact($rows));
            }
        }
        foreach ($files as $path) {
            $out->add(Source::FILE, Json::compact(['path' => $path]));
            $in = Storage::disk()->readStream($path);
            while ($in !== null && ! feof($in)) {
                $out->add(Source::BYTES, (string) fread($in, self::BYTES_AT_ONCE));
            }
        }
        $out->add(Source::END, '');
        $database->rollBack();
    }

    private function isFleeting(string $table): bool
    {
        return in_array($table, self::FLEETING, true);
    }

    /**
     * @param  list<string>  $columns
     * @return Generator<int, list<list<mixed>>>
     */
    private function rows(Connection $database, string $table, array $columns): Generator
    {
        $of = $database->getPdo()->query('SELECT `'.implode('`, `', $columns)."` FROM `$table`", PDO::FETCH_NUM);
        $rows = [];
        foreach ($of === false ? [] : $of as $row) {
            $rows[] = array_map(
                fn (?string $value) => $value === null || mb_check_encoding($value, 'UTF-8')
                    ? $value
                    : ['base64' => base64_encode($value)],
                $row,
            );
            if (count($rows) === self::ROWS_AT_ONCE) {
                yield $rows;
                $rows = [];
            }
        }
        if ($rows !== []) {
            yield $rows;
        }
    }

    /** A connection that sees the studio as it stands now for as long as it is open, and holds few rows at a time. */
    private function snapshot(): Connection
    {
        $database = DB::build([
            ...DB::connection('migrate')->getConfig(),
            'name' => 'snapshot-'.bin2hex(random_bytes(4)),
            'isolation_level' => 'REPEATABLE READ',
            'options' => [PDO::MYSQL_ATTR_USE_BUFFERED_QUERY => false, PDO::ATTR_STRINGIFY_FETCHES => true],
        ]);
        assert($database instanceof Connection);
        $database->beginTransaction();
        // The first read fixes what is seen.
        $database->table('migrations')->count();

        return $database;
    }
}
