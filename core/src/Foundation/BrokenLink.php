<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** The first place where a chain is broken. */
final readonly class BrokenLink
{
    /** @param  int|null  $number  of the record; null where the chain is empty */
    public function __construct(public ?int $number, public Damage $damage)
    {
    }
}
