<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Scheme;

/** Nothing is painted in colours that were rejected on their test model. */
final class TestModelRejected extends Refusal
{
    public function __construct(public readonly Scheme $scheme)
    {
        parent::__construct(
            "The test model of scheme $scheme->name was rejected: change its colours first.",
            '/scheme',
            409,
        );
    }
}
