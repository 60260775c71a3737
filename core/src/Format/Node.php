<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use BackedEnum;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Standard\Extent;
use stdClass;

/**
 * A place in a decoded JSON document. Every read that fails is noted with its path, and a harmless value is given back
 * so that reading goes on; the result may be used only after {@see Problems::refuse}.
 */
final readonly class Node
{
    private function __construct(public mixed $value, public string $path, private Problems $problems)
    {
    }

    public static function root(mixed $value, Problems $problems): self
    {
        return new self($value, '', $problems);
    }

    public static function at(mixed $value, string $path, Problems $problems): self
    {
        return new self($value, $path, $problems);
    }

    public function problem(string $reason): void
    {
        $this->problems->add($this->path, $reason);
    }

    /**
     * Holds the object to its keys: the required ones are there, and no others than those named.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     */
    public function keys(array $required, array $optional = []): self
    {
        if (! ($this->value instanceof stdClass)) {
            $this->problem('must be an object, not '.$this->kind());

            return $this;
        }
        $there = array_map(strval(...), array_keys(get_object_vars($this->value)));
        foreach (array_diff($required, $there) as $key) {
            $this->problem("lacks \"$key\"");
        }
        foreach (array_diff($there, $required, $optional) as $key) {
            $this->problems->add(
                $this->path.'/'.self::escape($key),
                'is an unknown key; known here: '.implode(', ', [...$required, ...$optional]),
            );
        }

        return $this;
    }

    public function format(string $word): self
    {
        $found = $this->value instanceof stdClass ? $this->value->format ?? null : null;
        if ($found !== $word) {
            $this->problems->add(
                $this->path.'/format',
                "must be \"$word\"".(is_string($found) ? ", not \"$found\"" : ''),
            );
            $this->problems->refuse();
        }

        return $this;
    }

    public function has(string $key): bool
    {
        return $this->value instanceof stdClass && property_exists($this->value, $key);
    }

    public function isNull(string $key): bool
    {
        return $this->has($key) && $this->get($key)->value === null;
    }

    public function get(string $key): self
    {
        $value = $this->value instanceof stdClass ? $this->value->{$key} ?? null : null;

        return new self($value, $this->path.'/'.self::escape($key), $this->problems);
    }

    public function string(string $key, bool $mayBeEmpty = false): string
    {
        if (! $this->has($key)) {
            return '';
        }
        $node = $this->get($key);
        if (! is_string($node->value)) {
            $node->problem('must be text, not '.$node->kind());

            return '';
        }
        if (! $mayBeEmpty && trim($node->value) === '') {
            $node->problem('must not be empty');
        }

        return $node->value;
    }

    public function stringOrNull(string $key): ?string
    {
        return ! $this->has($key) || $this->isNull($key) ? null : $this->string($key);
    }

    /** A short word that files and addresses can carry: small letters, digits, underscore, hyphen. */
    public function key(string $key): string
    {
        $word = $this->string($key);
        if ($word !== '' && preg_match('/^[a-z0-9][a-z0-9_-]{0,63}$/D', $word) !== 1) {
            $this->get($key)->problem("\"$word\" must be small letters, digits, _ or -, at most 64 of them");
        }

        return $word;
    }

    public function number(string $key, float $min = -INF, float $max = INF): float
    {
        if (! $this->has($key)) {
            return max(0.0, $min);
        }
        $node = $this->get($key);
        if (! is_int($node->value) && ! is_float($node->value)) {
            $node->problem('must be a number, not '.$node->kind());

            return max(0.0, $min);
        }
        if (! is_finite((float) $node->value) || $node->value < $min || $node->value > $max) {
            $node->problem('must be '.self::range($min, $max).", not $node->value");
        }

        return (float) $node->value;
    }

    public function int(string $key, int $min = PHP_INT_MIN, int $max = PHP_INT_MAX): int
    {
        if (! $this->has($key)) {
            return max(0, $min);
        }
        $node = $this->get($key);
        // JSON has one kind of number: 2.0 is the whole number 2.
        $value =
            is_float($node->value) && $node->value === floor($node->value) && abs($node->value) < 1e15
                ? (int) $node->value
                : $node->value;
        if (! is_int($value)) {
            $node->problem('must be a whole number, not '.$node->kind());

            return max(0, $min);
        }
        if ($value < $min || $value > $max) {
            $node->problem('must be '.self::range($min, $max).", not $value");
        }

        return $value;
    }

    public function intOrNull(string $key, int $min, int $max): ?int
    {
        return ! $this->has($key) || $this->isNull($key) ? null : $this->int($key, $min, $max);
    }

    public function bool(string $key): bool
    {
        if (! $this->has($key)) {
            return false;
        }
        $node = $this->get($key);
        if (! is_bool($node->value)) {
            $node->problem('must be true or false, not '.$node->kind());
        }

        return $node->value === true;
    }

    /** Money: decimal text with two places, at most 99999999.99. */
    public function money(string $key): string
    {
        $money = $this->string($key);
        if ($money !== '' && preg_match('/^(0|[1-9][0-9]{0,7})\.[0-9]{2}$/D', $money) !== 1) {
            $this->get($key)->problem("must be money as text with two decimals, such as \"3.00\", not \"$money\"");
        }

        return $money;
    }

    public function moneyOrNull(string $key): ?string
    {
        return ! $this->has($key) || $this->isNull($key) ? null : $this->money($key);
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function enum(string $key, string $enum): BackedEnum
    {
        return $this->has($key) ? $this->get($key)->asEnum($enum) : $enum::cases()[0];
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function asEnum(string $enum): BackedEnum
    {
        $word = is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if ($word === null) {
            $this->problem(
                'must be one of '.
                    implode(', ', array_map(fn (BackedEnum $c) => (string) $c->value, $enum::cases())).
                    ', not '.
                    $this->shown(),
            );
        }

        return $word ?? $enum::cases()[0];
    }

    public function asExtent(): Extent
    {
        $extent = is_string($this->value) ? Extent::named($this->value) : null;
        if ($extent === null || $extent === Extent::None) {
            $this->problem('must be one of spot, prominent, full, not '.$this->shown());
        }

        return $extent ?? Extent::Full;
    }

    public function asString(): string
    {
        if (! is_string($this->value)) {
            $this->problem('must be text, not '.$this->kind());

            return '';
        }

        return $this->value;
    }

    public function asNumber(float $min, float $max): float
    {
        $number = is_int($this->value) || is_float($this->value) ? (float) $this->value : null;
        if ($number === null || ! is_finite($number) || $number < $min || $number > $max) {
            $this->problem('must be a number '.self::range($min, $max).', not '.$this->shown());
        }

        return $number ?? $min;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>
     */
    public function enums(string $key, string $enum): array
    {
        return $this->unique($key, fn (self $n) => $n->asEnum($enum), fn (BackedEnum $e) => (string) $e->value);
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        return $this->unique($key, fn (self $n) => $n->asString(), fn (string $s) => $s);
    }

    /** @return list<self> */
    public function list(string $key): array
    {
        return $this->has($key) ? $this->get($key)->items() : [];
    }

    /** @return list<self> */
    public function items(): array
    {
        if (! is_array($this->value)) {
            $this->problem('must be a list, not '.$this->kind());

            return [];
        }
        $items = [];
        foreach (array_values($this->value) as $i => $item) {
            $items[] = new self($item, "$this->path/$i", $this->problems);
        }

        return $items;
    }

    /** @return array<string, self> */
    public function map(string $key): array
    {
        if (! $this->has($key)) {
            return [];
        }
        $node = $this->get($key);
        if (! ($node->value instanceof stdClass)) {
            $node->problem('must be an object, not '.$node->kind());

            return [];
        }
        $map = [];
        foreach (array_keys(get_object_vars($node->value)) as $name) {
            $map[(string) $name] = $node->get((string) $name);
        }

        return $map;
    }

    public function kind(): string
    {
        return match (true) {
            $this->value === null => 'null',
            is_bool($this->value) => 'true or false',
            is_string($this->value) => 'text',
            is_int($this->value), is_float($this->value) => 'a number',
            is_array($this->value) => 'a list',
            default => 'an object',
        };
    }

    private function shown(): string
    {
        return is_string($this->value)
            ? '"'.mb_substr($this->value, 0, 60).'"'
            : (is_int($this->value) || is_float($this->value)
                ? (string) $this->value
                : $this->kind());
    }

    /**
     * @template T
     *
     * @param  callable(self): T  $read
     * @param  callable(T): string  $name
     * @return list<T>
     */
    private function unique(string $key, callable $read, callable $name): array
    {
        $values = [];
        $seen = [];
        foreach ($this->list($key) as $item) {
            $value = $read($item);
            if (isset($seen[$name($value)])) {
                $item->problem('stands twice in this list');

                continue;
            }
            $seen[$name($value)] = true;
            $values[] = $value;
        }

        return $values;
    }

    private static function range(float $min, float $max): string
    {
        return match (true) {
            $min === -INF => "at most $max",
            $max === INF || $max >= 1e15 => "at least $min",
            default => "within $min to $max",
        };
    }

    private static function escape(string $key): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], $key);
    }
}
