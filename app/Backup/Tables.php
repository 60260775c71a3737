<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Database\Connection;

/** The tables of one database as it says itself. */
final class Tables
{
    /** @var list<string>|null */
    private ?array $names = null;

    public function __construct(private readonly Connection $database)
    {
    }

    /** @return list<string> */
    public function names(): array
    {
        $this->names ??= $this->column(
            "SELECT table_name FROM information_schema.tables
            WHERE table_schema = database() AND table_type = 'BASE TABLE' AND table_name <> 'migrations'
            ORDER BY table_name",
        );

        return $this->names;
    }

    /** @return list<string> without those that the database works out by itself */
    public function columns(string $table): array
    {
        return $this->column(
            "SELECT column_name FROM information_schema.columns
            WHERE table_schema = database() AND table_name = ? AND extra NOT LIKE '%GENERATED%'
            ORDER BY ordinal_position",
            [$table],
        );
    }

    public function rows(string $table): int
    {
        return $this->database->table($table)->count();
    }

    /** Triggers that keep what was published, released and signed as it is. */
    public function guards(): int
    {
        return count(
            $this->column('SELECT trigger_name FROM information_schema.triggers WHERE trigger_schema = database()'),
        );
    }

    /**
     * Takes the guards away that look at a row before it is put in: what a studio holds was let in once.
     *
     * @return list<string> the statements that make them again
     */
    public function letRowsIn(): array
    {
        $guards = $this->column(
            "SELECT trigger_name FROM information_schema.triggers
            WHERE trigger_schema = database() AND event_manipulation = 'INSERT'",
        );

        return array_map(function (string $name): string {
            $made = $this->database->select("SHOW CREATE TRIGGER `$name`")[0]->{'SQL Original Statement'};
            $this->database->unprepared("DROP TRIGGER `$name`");

            return $made;
        }, $guards);
    }

    /** The hash of the last signed record. */
    public function lastRecord(): ?string
    {
        $hash = $this->database->table('sign_offs')->orderByDesc('number')->value('hash');

        return is_string($hash) ? $hash : null;
    }

    /**
     * @param  list<string>  $with
     * @return list<string>
     */
    private function column(string $sql, array $with = []): array
    {
        return array_map(
            fn (object $row) => (string) current(get_object_vars($row)),
            array_values($this->database->select($sql, $with)),
        );
    }
}
