<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A finished model is only given what goes over its paint there. */
final class NoSuchVariant extends Refusal
{
    public function __construct(string $area)
    {
        parent::__construct("That cannot be added late on the $area.", '/technique');
    }
}
