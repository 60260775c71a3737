<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Ordotype\Core\Format\Json;
use stdClass;

/** What a backup says of itself, and what a studio that was built from it is held against. */
final readonly class Head
{
    private const FORMAT = 'ordotype/backup@2';

    /**
     * @param  list<string>  $migrations  that its tables had been through, in their order
     * @param  array<string, int>  $tables  rows by table
     * @param  int|null  $guards  triggers; null: not known
     * @param  string|null  $last  hash of the last signed record; null: nothing was signed
     * @param  string  $key  the application's
     */
    public function __construct(
        public string $madeAt,
        public array $migrations,
        public array $tables,
        public ?int $guards,
        public ?string $last,
        public string $key,
        public int $files,
    ) {
    }

    public function write(): string
    {
        return Json::compact((object) [
            'format' => self::FORMAT,
            'made_at' => $this->madeAt,
            'migrations' => $this->migrations,
            'tables' => (object) $this->tables,
            'guards' => $this->guards,
            'last' => $this->last,
            'key' => $this->key,
            'files' => $this->files,
        ]);
    }

    /** @throws InstallationRefused */
    public static function read(string $json): self
    {
        $head = Json::decode($json);
        if (! $head instanceof stdClass || ($head->format ?? null) !== self::FORMAT) {
            throw InstallationRefused::backupDamaged('it was made by another version, which this one does not know');
        }

        return new self(
            $head->made_at,
            $head->migrations,
            array_map(intval(...), (array) $head->tables),
            $head->guards,
            $head->last,
            $head->key,
            $head->files,
        );
    }
}
