<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use InvalidArgumentException;
use Ordotype\Core\Ladder\Change;
use Ordotype\Core\Ladder\ClauseEdit;
use Ordotype\Core\Ladder\PriceEdit;
use Ordotype\Core\Ladder\TierEdit;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Tier;
use stdClass;

/** Writes a proposed change of a standard as an edit of its document. */
final class ChangeFormat
{
    public static function write(Change $change): DocumentEdit
    {
        return match (true) {
            $change instanceof ClauseEdit => new DocumentEdit(
                'clause',
                $change->tier->key,
                self::clause($change->before),
                self::clause($change->after),
            ),
            $change instanceof TierEdit => new DocumentEdit(
                'tier',
                null,
                self::head($change->before),
                self::head($change->after),
            ),
            $change instanceof PriceEdit => new DocumentEdit(
                'price',
                null,
                self::price($change->before),
                self::price($change->after),
            ),
            default => throw new InvalidArgumentException('There is no such change: '.$change::class),
        };
    }

    /** A tier as it stands in a document, without its clauses. */
    public static function head(Tier $tier): stdClass
    {
        $head = StandardFormat::writeTier($tier);
        unset($head->clauses);

        return $head;
    }

    private static function clause(?Clause $clause): ?stdClass
    {
        return $clause === null ? null : ClauseFormat::write($clause);
    }

    private static function price(PriceRange $price): stdClass
    {
        return (object) [
            'size' => $price->size->value,
            'role' => $price->role->value,
            'tier' => $price->tier,
            'low' => $price->low,
            'high' => $price->high,
        ];
    }
}
