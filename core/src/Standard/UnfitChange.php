<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use DomainException;

/** A change that the clause it is for cannot take. */
final class UnfitChange extends DomainException
{
    private function __construct(public readonly ClauseField $field, string $reason)
    {
        parent::__construct($reason);
    }

    public static function notThere(ClauseField $field): self
    {
        return new self($field, 'is not a field of this clause');
    }

    public static function outside(ClauseField $field, float $least, float $most): self
    {
        return new self($field, "must be a whole number within $least to $most");
    }

    public static function mustBeANumber(ClauseField $field): self
    {
        return new self($field, 'must be a number: only colour steps may be open at the top');
    }
}
