<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A critical fault is never conceded. */
final class CriticalFaultStays extends Refusal
{
    public function __construct()
    {
        parent::__construct('A critical fault is never accepted.', '/verdict', 409);
    }
}
