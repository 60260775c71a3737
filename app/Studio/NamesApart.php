<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\RecordName;
use App\Models\ShareLink;
use App\Models\SignOff;

/** Names of people on their way into a record: there they stand as salted hashes, the names themselves beside it. */
final class NamesApart
{
    public const ERASED = 'a name that was erased';

    /** For one that somebody put in the place of the one that was signed. */
    private const OTHER = 'a name that is not the one that was signed';

    /** Bytes of a salt. */
    private const SALT = 16;

    /** @var array<string, array{salt: string, token: string}> by name */
    private array $met = [];

    /** @param  bool  $isPlain  whether names stay as they are, for what is only looked at before it is signed */
    public function __construct(private readonly bool $isPlain = false)
    {
    }

    /** What stands in the record for a name: the same for the same name in one record, in no other. */
    public function token(string $name): string
    {
        if ($this->isPlain) {
            return $name;
        }
        if (! isset($this->met[$name])) {
            $salt = bin2hex(random_bytes(self::SALT));
            $this->met[$name] = ['salt' => $salt, 'token' => hash('sha256', $salt.$name)];
        }

        return $this->met[$name]['token'];
    }

    public function keep(SignOff $record): void
    {
        $rows = [];
        foreach ($this->met as $name => $met) {
            $rows[] = ['sign_off_id' => $record->id, 'name' => (string) $name] + $met;
        }
        RecordName::query()->insert($rows);
    }

    /**
     * A record with its names again, where they are still there.
     *
     * @template T
     *
     * @param  T  $part  of the decoded record
     * @param  array<string, string|null>  $names  by token
     * @return T
     */
    public static function put(mixed $part, array $names): mixed
    {
        if (is_string($part)) {
            return array_key_exists($part, $names) ? $names[$part] ?? self::ERASED : $part;
        }
        if (is_array($part)) {
            return array_map(fn (mixed $p) => self::put($p, $names), $part);
        }
        if (is_object($part)) {
            foreach (get_object_vars($part) as $key => $value) {
                $part->{$key} = self::put($value, $names);
            }
        }

        return $part;
    }

    /** @return array<string, string|null> names of a record by token; null where one was erased */
    public static function of(SignOff $record): array
    {
        $names = [];
        foreach (RecordName::query()->where('sign_off_id', $record->id)->get() as $one) {
            $names[$one->token] = $one->isTheOneSigned() ? $one->name : self::OTHER;
        }

        return $names;
    }

    /** @return list<int> numbers of the records beside which a name stands that was not signed */
    public static function exchanged(): array
    {
        $numbers = [];
        foreach (RecordName::query()->whereNotNull('name')->lazyById() as $one) {
            $record = SignOff::query()->findOrFail($one->sign_off_id);
            if (! $one->isTheOneSigned() || ! str_contains($record->record, "\"$one->token\"")) {
                $numbers[] = $record->number;
            }
        }

        return array_values(array_unique($numbers));
    }

    /** @return int in how many records and answers behind links it stood */
    public static function erase(string $name): int
    {
        $answered = ShareLink::query()->where('shows->answer->name', $name)->get();
        foreach ($answered as $link) {
            // Nothing else of it may change, not even the order it stands in.
            $shows = $link->shows;
            $shows['answer']['name'] = null;
            $link->update(['shows' => $shows]);
        }

        return $answered->count() +
            RecordName::query()->where('name', $name)->update(['name' => null, 'salt' => null]);
    }
}
