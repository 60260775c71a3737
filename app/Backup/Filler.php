<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\Json;
use stdClass;

/** Puts the rows and pictures of a backup where they belong: in tables that are there, and under the hash they have. */
final class Filler
{
    private const PICTURE = '#^pictures/([0-9a-f]{2})/(\1[0-9a-f]{62})$#D';

    private ?string $table = null;

    /** @var list<string> */
    private array $columns = [];

    private ?string $path = null;

    private string $bytes = '';

    private int $files = 0;

    public function __construct(private readonly Connection $database, private readonly Tables $tables)
    {
    }

    /**
     * @param  string  $kind  of a record
     * @return list<string> paths of pictures that were not there
     *
     * @throws InstallationRefused
     */
    public function take(string $kind, string $bytes): array
    {
        $added = $kind === Source::BYTES ? [] : $this->keep();
        match ($kind) {
            Source::TABLE => $this->begin(self::object($bytes)),
            Source::ROWS => $this->put(Json::decode($bytes)),
            Source::FILE => $this->open(self::object($bytes)),
            Source::BYTES => $this->bytes .= $bytes,
            default => throw InstallationRefused::backupDamaged('it holds what no backup holds'),
        };

        return $added;
    }

    /** @return int pictures that came */
    public function end(): int
    {
        $this->keep();

        return $this->files;
    }

    private function begin(stdClass $table): void
    {
        if (! in_array($table->table, $this->tables->names(), true)) {
            throw InstallationRefused::backupDamaged('it holds a table that a studio does not have');
        }
        $columns = $this->tables->columns($table->table);
        if (array_diff($table->columns, $columns) !== [] || count($table->columns) !== count($columns)) {
            throw InstallationRefused::backupDamaged("its $table->table has other columns than a studio of then");
        }
        [$this->table, $this->columns] = [$table->table, $table->columns];
    }

    private function put(mixed $rows): void
    {
        if ($this->table === null || ! is_array($rows)) {
            throw InstallationRefused::backupDamaged('it holds rows of no table');
        }
        $values = [];
        foreach ($rows as $row) {
            if (count($row) !== count($this->columns)) {
                throw InstallationRefused::backupDamaged("a row of its $this->table is cut");
            }
            foreach ($row as $value) {
                $values[] = $value instanceof stdClass ? base64_decode($value->base64, true) : $value;
            }
        }
        $one = '('.implode(', ', array_fill(0, count($this->columns), '?')).')';
        $this->database->insert(
            "INSERT INTO `$this->table` (`".implode('`, `', $this->columns).'`) VALUES '.
                implode(', ', array_fill(0, count($rows), $one)),
            $values,
        );
    }

    private function open(stdClass $file): void
    {
        if (preg_match(self::PICTURE, (string) $file->path) !== 1) {
            throw InstallationRefused::backupDamaged('it holds a file that is no picture of a studio');
        }
        $this->path = $file->path;
        $this->bytes = '';
    }

    /** @return list<string> the picture that has come whole, where there was none */
    private function keep(): array
    {
        $path = $this->path;
        $this->path = null;
        if ($path === null) {
            return [];
        }
        if (hash('sha256', $this->bytes) !== basename($path)) {
            throw InstallationRefused::backupDamaged('a picture is not what it was');
        }
        $this->files++;
        $wasThere = Storage::disk()->exists($path);
        if ($wasThere && hash('sha256', (string) Storage::disk()->get($path)) === basename($path)) {
            return [];
        }
        Storage::disk()->put($path, $this->bytes);

        return $wasThere ? [] : [$path];
    }

    private static function object(string $bytes): stdClass
    {
        $object = Json::decode($bytes);

        return $object instanceof stdClass ? $object : throw InstallationRefused::backupDamaged('a record is cut');
    }
}
