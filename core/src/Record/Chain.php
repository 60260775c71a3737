<?php

declare(strict_types=1);

namespace Ordotype\Core\Record;

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
     * @param  array<string, mixed>  $body
     * @return array{record: string, hash: string}
     */
    public static function link(string $previous, array $body): array
    {
        $record = CanonicalJson::encode(['previous' => $previous] + $body);

        return ['record' => $record, 'hash' => hash('sha256', $record)];
    }

    /**
     * @param  iterable<array{number: int, previous: string, hash: string, record: string}>  $links  by number
     * @param  string|null  $head  hash the last record must have, to find a tail that was cut off
     * @return array{number: int|null, reason: string}|null the first broken link; null when all is well
     */
    public static function broken(iterable $links, ?string $head = null): ?array
    {
        $expected = self::START;
        $number = 0;
        foreach ($links as $link) {
            $number++;
            $reason = match (true) {
                $link['number'] !== $number => "record $number is missing",
                $link['previous'] !== $expected => 'it does not follow on the record before it',
                hash('sha256', $link['record']) !== $link['hash'] => 'its text was changed: the hash does not fit',
                self::previousIn($link['record']) !== $expected => 'its text names another record before it',
                default => null,
            };
            if ($reason !== null) {
                return ['number' => min($number, $link['number']), 'reason' => $reason];
            }
            $expected = $link['hash'];
        }
        if ($head !== null && ! hash_equals($head, $expected)) {
            return [
                'number' => $number === 0 ? null : $number,
                'reason' => 'the chain does not end in the head that was given: records after it are missing, '.
                    'or the head is of another chain',
            ];
        }

        return null;
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
