<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Foundation\BrokenLink;
use Ordotype\Core\Foundation\Damage;

/** What is wrong with a chain of records, in words. */
final class RecordWords
{
    public static function broken(BrokenLink $broken): string
    {
        return match ($broken->damage) {
            Damage::Missing => "record $broken->number is missing",
            Damage::DoesNotFollow => 'it does not follow on the record before it',
            Damage::TextChanged => 'its text was changed: the hash does not fit',
            Damage::NamesAnother => 'its text names another record before it',
            Damage::TailMissing => 'the chain does not end in the head that was given: records after it are missing, '.
                'or the head is of another chain',
        };
    }
}
