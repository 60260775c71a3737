<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Generator;
use Ordotype\Core\Format\Json;
use stdClass;

/**
 * A backup of before they were sealed (`ordotype/backup@1`): a gzipped archive of a dump, pictures, the application's
 * key and a list of sums. Anybody could have written it, so nothing of it is run: of the dump only lists of values are
 * read, and of the archive only files of the names that a backup has.
 */
final readonly class UnsealedBackup implements Source
{
    private const NAME = '#^(list\.json|database\.sql|application\.key|files/(pictures/[0-9a-f]{2}/[0-9a-f]{64}))$#D';

    private const BLOCK = 512;

    /** @param  array<string, string>  $files  where the bytes of each name lie, in a folder of its own */
    private function __construct(private string $folder, private array $files)
    {
    }

    /** @throws InstallationRefused when it is not whole, or holds what no backup holds */
    public static function open(string $file): self
    {
        $folder = storage_path('app/unsealed-'.bin2hex(random_bytes(6)));
        mkdir($folder, 0700);
        $backup = new self($folder, self::unpack($file, $folder));
        $list = Json::decode((string) file_get_contents($backup->files['list.json'] ?? '/dev/null') ?: 'null');
        if (! $list instanceof stdClass || ($list->format ?? null) !== 'ordotype/backup@1') {
            throw InstallationRefused::backupDamaged('it is no backup of a studio');
        }
        $sums = array_map(fn (string $at) => hash_file('sha256', $at), $backup->files);
        unset($sums['list.json']);
        $listed = (array) $list->files;
        foreach ($listed + $sums as $name => $_) {
            if (($listed[$name] ?? null) !== ($sums[$name] ?? null)) {
                throw InstallationRefused::backupDamaged("$name is not what it was");
            }
        }

        return $backup;
    }

    public function __destruct()
    {
        array_map(unlink(...), glob("$this->folder/*") ?: []);
        @rmdir($this->folder);
    }

    public function records(): Generator
    {
        $migrations = [];
        $tables = [];
        $last = [];
        foreach ($this->rows() as [$table, $columns, $row]) {
            $tables[$table] = ($tables[$table] ?? 0) + 1;
            $row = array_combine($columns, $row);
            if ($table === 'migrations') {
                $migrations[(int) $row['id']] = (string) $row['migration'];
            }
            if ($table === 'sign_offs') {
                $last[(int) $row['number']] = (string) $row['hash'];
            }
        }
        ksort($migrations);
        ksort($last);
        unset($tables['migrations']);
        $isPicture = fn (string $name) => str_starts_with($name, 'files/');
        $pictures = array_filter($this->files, $isPicture, ARRAY_FILTER_USE_KEY);
        yield self::HEAD => (new Head(
            '',
            array_values($migrations),
            $tables,
            null,
            $last === [] ? null : end($last),
            trim((string) file_get_contents($this->files['application.key'])),
            count($pictures),
        ))->write();
        foreach ($this->rows() as [$table, $columns, $row]) {
            if ($table !== 'migrations') {
                yield self::TABLE => Json::compact(['table' => $table, 'columns' => $columns]);
                yield self::ROWS => Json::compact([$row]);
            }
        }
        foreach ($pictures as $name => $at) {
            yield self::FILE => Json::compact(['path' => substr($name, strlen('files/'))]);
            yield self::BYTES => (string) file_get_contents($at);
        }
        yield self::END => '';
    }

    /** @return Generator<int, array{string, list<string>, list<mixed>}> table, columns, values */
    private function rows(): Generator
    {
        $columns = [];
        $workedOut = [];
        $table = null;
        $into = null;
        $in = fopen($this->files['database.sql'] ?? '/dev/null', 'r');
        if ($in === false) {
            throw InstallationRefused::backupDamaged('its rows cannot be read');
        }
        while (($line = fgets($in)) !== false) {
            if (preg_match('/^CREATE TABLE `(\w+)`/', $line, $m) === 1) {
                $table = $m[1];
                $columns[$table] = [];
                $workedOut[$table] = [];
            } elseif ($table !== null && preg_match('/^  `(\w+)` /', $line, $m) === 1) {
                $columns[$table][] = $m[1];
                if (str_contains($line, ' GENERATED ALWAYS ')) {
                    $workedOut[$table][] = $m[1];
                }
            } elseif (preg_match('/^INSERT INTO `(\w+)` (?:\(([^)]*)\) )?VALUES\s*(.*)$/s', $line, $m) === 1) {
                $table = null;
                $into = [$m[1], $m[2] === '' ? $columns[$m[1]] ?? [] : explode('`, `', trim($m[2], '` '))];
                $line = $m[3];
            }
            if ($into === null || ! str_starts_with($line, '(')) {
                continue;
            }
            foreach (self::tuples(rtrim($line)) as $row) {
                if (count($row) !== count($into[1])) {
                    throw InstallationRefused::backupDamaged("a row of its $into[0] cannot be read");
                }
                // What the database works out by itself stands in the dump as well.
                $row = array_diff_key(array_combine($into[1], $row), array_flip($workedOut[$into[0]] ?? []));
                yield [$into[0], array_keys($row), array_values($row)];
            }
            if (str_ends_with(rtrim($line), ';')) {
                $into = null;
            }
        }
        fclose($in);
    }

    /** @return list<list<mixed>> the lists of values of a line, which stand between brackets */
    private static function tuples(string $line): array
    {
        $value = "NULL|-?[0-9][0-9.eE+-]*|0x[0-9A-Fa-f]+|'(?:[^'\\\\]|\\\\.|'')*+'";
        if (preg_match("/^\\((?:(?:$value)[,)]|,\\()*+;?,?$/s", $line) !== 1) {
            throw InstallationRefused::backupDamaged('its rows are no lists of values');
        }
        preg_match_all("/($value)([,)])/s", $line, $found, PREG_SET_ORDER);
        $rows = [[]];
        foreach ($found as [, $text, $then]) {
            $rows[array_key_last($rows)][] = self::value($text);
            if ($then === ')') {
                $rows[] = [];
            }
        }
        array_pop($rows);

        return $rows;
    }

    private static function value(string $text): mixed
    {
        if ($text === 'NULL') {
            return null;
        }
        if (str_starts_with($text, '0x')) {
            return ['base64' => base64_encode((string) hex2bin(substr($text, 2)))];
        }
        if (! str_starts_with($text, "'")) {
            return $text;
        }
        $text = (string) preg_replace_callback(
            "/\\\\(.)|''/s",
            fn (array $m) => match ($m[1] ?? "'") {
                'n' => "\n",
                'r' => "\r",
                't' => "\t",
                '0' => "\0",
                'Z' => "\x1a",
                'b' => "\x08",
                default => $m[1] ?? "'",
            },
            substr($text, 1, -1),
        );

        return mb_check_encoding($text, 'UTF-8') ? $text : ['base64' => base64_encode($text)];
    }

    /** @return array<string, string> where the files of the archive lie now, by name */
    private static function unpack(string $file, string $folder): array
    {
        $in = is_readable($file) ? gzopen($file, 'rb') : false;
        if ($in === false) {
            throw InstallationRefused::backupDamaged("there is no file $file that can be read");
        }
        $files = [];
        while (strlen($head = (string) @gzread($in, self::BLOCK)) === self::BLOCK && trim($head, "\0") !== '') {
            $name = preg_replace('#^\./#', '', rtrim(substr($head, 0, 100), "\0"));
            $size = (int) octdec(trim(substr($head, 124, 12), " \0"));
            $kind = $head[156];
            if ($kind === '5' && $size === 0) {
                continue;
            }
            if (($kind !== '0' && $kind !== "\0") || preg_match(self::NAME, (string) $name) !== 1) {
                throw InstallationRefused::backupDamaged('it is no whole archive of a studio');
            }
            $at = $folder.'/'.count($files);
            $left = $size;
            $out = fopen($at, 'w') ?: throw InstallationRefused::backupDamaged('it cannot be unpacked');
            while ($left > 0 && ($bytes = (string) @gzread($in, min(1_000_000, $left))) !== '') {
                $left -= strlen($bytes);
                fwrite($out, $bytes);
            }
            fclose($out);
            if ($left > 0) {
                throw InstallationRefused::backupDamaged('it is no whole archive of a studio');
            }
            if ($size % self::BLOCK > 0) {
                gzread($in, self::BLOCK - $size % self::BLOCK);
            }
            $files[(string) $name] = $at;
        }
        gzclose($in);

        return $files;
    }
}
