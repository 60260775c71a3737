<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use DomainException;

/** A document that is not what its format asks for, with everything that is wrong in it. */
final class FormatException extends DomainException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(strval(...), $problems)));
    }

    public static function at(string $path, string $reason): self
    {
        return new self([new Problem($path, $reason)]);
    }
}
