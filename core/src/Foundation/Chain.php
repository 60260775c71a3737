<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use JsonException;
use stdClass;

/**
 * The chain of sign-offs: each record holds the hash of the one before it, and its own hash is the SHA-256 of its
 * RFC 8785 bytes. Changing, taking out or putting in a record breaks the chain at that place.
 */
final class Chain
{
    public const START = '0000000000000000000000000000000000000000000000000000000000000000';

    /**
     * A record that follows on another.
     *
     * @param  array<string, mixed>  $body
     */
    public static function link(int $number, string $previous, array $body): Link
    {
        $record = CanonicalJson::record(['previous' => $previous] + $body);

        return new Link($number, $previous, hash('sha256', $record), $record);
    }

    /**
     * @param  iterable<Link>  $links  by number
     * @param  string|null  $head  hash the last record must have, to find a tail that was cut off
     * @return BrokenLink|null the first broken link; null when all is well
     */
    public static function broken(iterable $links, ?string $head = null): ?BrokenLink
    {
        $expected = self::START;
        $number = 0;
        foreach ($links as $link) {
            $number++;
            $damage = match (true) {
                $link->number !== $number => Damage::Missing,
                $link->previous !== $expected => Damage::DoesNotFollow,
                hash('sha256', $link->record) !== $link->hash => Damage::TextChanged,
                self::previousIn($link->record) !== $expected => Damage::NamesAnother,
                default => null,
            };
            if ($damage !== null) {
                return new BrokenLink(min($number, $link->number), $damage);
            }
            $expected = $link->hash;
        }

        return $head !== null && ! hash_equals($head, $expected)
            ? new BrokenLink($number === 0 ? null : $number, Damage::TailMissing)
            : null;
    }

    /**
     * Whether records that stand one after another somewhere in the chain are as they were signed and follow on each
     * other.
     *
     * @param  list<Link>  $links  by number
     */
    public static function fits(array $links): bool
    {
        foreach ($links as $i => $link) {
            $before = $links[$i - 1] ?? null;
            $isWhole = hash('sha256', $link->record) === $link->hash &&
                self::previousIn($link->record) === $link->previous;
            $follows = $before === null
                ? $link->number > 1 || $link->previous === self::START
                : $link->number === $before->number + 1 && $link->previous === $before->hash;
            if (! $isWhole || ! $follows) {
                return false;
            }
        }

        return true;
    }

    private static function previousIn(string $record): ?string
    {
        try {
            $body = json_decode($record, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            return null;
        }

        return $body instanceof stdClass && is_string($body->previous ?? null) ? $body->previous : null;
    }
}
