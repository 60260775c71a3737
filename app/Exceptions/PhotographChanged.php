<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Photograph;

/** Somebody laid the outlines of this photograph meanwhile. */
final class PhotographChanged extends Conflict
{
    public function __construct(Photograph $photograph)
    {
        parent::__construct('Somebody laid the outlines of this photograph meanwhile. Look at theirs first.', [
            'revision' => $photograph->revision,
        ]);
    }
}
