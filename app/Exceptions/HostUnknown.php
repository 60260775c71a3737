<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Somebody asks for a machine of another name. */
final class HostUnknown extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'This studio is not known by that address. Whoever set it up can allow it (ORDOTYPE_HOSTS).',
            '',
            400,
        );
    }
}
