<?php

declare(strict_types=1);

namespace App\Exceptions;

/** An answer that finds something wrong names the fault. */
final class NoFaultNamed extends Refusal
{
    public function __construct()
    {
        parent::__construct('Say which fault it is.', '/faults');
    }
}
