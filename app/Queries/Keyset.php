<?php

declare(strict_types=1);

namespace App\Queries;

use App\Exceptions\RequestRefused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * Pages of a list by the place where the last one ended, so that every row comes once however many there are and
 * however many are alike. It sorts by columns that are never null, the last of them unique; a row's place is the list
 * of its values in them (keyset paging: a row follows when its values come after in dictionary order).
 */
final readonly class Keyset
{
    /**
     * @param  string  $name  of the list and its order: a cursor of another one is not taken
     * @param  non-empty-array<string, bool>  $by  column with its table, read with the row => whether it falls
     */
    public function __construct(private string $name, private array $by)
    {
    }

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $rows
     * @return array{list<T>, string|null} the page, and the cursor of the next one
     *
     * @throws RequestRefused when the cursor is not one of this list
     */
    public function page(Builder $rows, ?string $cursor, int $size): array
    {
        $place = $this->place($cursor);
        if ($place !== null) {
            $this->after($rows, $place);
        }
        foreach ($this->by as $column => $falls) {
            $rows->orderBy($column, $falls ? 'desc' : 'asc');
        }
        $found = array_values($rows->limit($size + 1)->get()->all());
        $more = count($found) > $size;
        $page = array_slice($found, 0, $size);
        $last = end($page);

        return [$page, $more && $last !== false ? $this->cursor($last) : null];
    }

    /**
     * @param  Builder<covariant Model>  $rows
     * @param  list<string|int>  $values
     */
    private function after(Builder $rows, array $values): void
    {
        $columns = array_keys($this->by);
        $rows->where(function (Builder $any) use ($columns, $values): void {
            foreach ($columns as $i => $column) {
                $any->orWhere(function (Builder $all) use ($columns, $values, $i, $column): void {
                    foreach (array_slice($columns, 0, $i) as $j => $same) {
                        $all->where($same, '=', $values[$j]);
                    }
                    $all->where($column, $this->by[$column] ? '<' : '>', $values[$i]);
                });
            }
        });
    }

    private function cursor(Model $row): string
    {
        $values = array_map(
            fn (string $column) => $row->getRawOriginal(substr(strrchr(".$column", '.') ?: '', 1)),
            array_keys($this->by),
        );

        return rtrim(strtr(base64_encode((string) json_encode([$this->name, ...$values])), '+/', '-_'), '=');
    }

    /**
     * Where the last page ended.
     *
     * @return list<string|int>|null values in the columns; null: this is the first page
     *
     * @throws RequestRefused when the cursor is not one of this list
     */
    public function place(?string $cursor): ?array
    {
        if ($cursor === null) {
            return null;
        }
        $read = json_decode((string) base64_decode(strtr($cursor, '-_', '+/'), true), true, 2);
        if (! is_array($read) || ! array_is_list($read) || count($read) !== count($this->by) + 1) {
            throw RequestRefused::cursorForeign();
        }
        if ($read[0] !== $this->name) {
            throw RequestRefused::cursorForeign();
        }
        $values = [];
        foreach (array_slice($read, 1) as $value) {
            if (! is_int($value) && ! (is_string($value) && strlen($value) <= 1000)) {
                throw RequestRefused::cursorForeign();
            }
            $values[] = $value;
        }

        return $values;
    }
}
