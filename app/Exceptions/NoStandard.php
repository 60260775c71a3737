<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Nothing was published or begun yet. */
final class NoStandard extends Refusal
{
    public function __construct()
    {
        parent::__construct('There is no standard yet: import a pack.', '', 404);
    }
}
