<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Technique;

/** A technique of the whole model cannot be chosen for an area. */
final class WholeModelTechnique extends Refusal
{
    public function __construct(public readonly Technique $technique, string $pointer)
    {
        parent::__construct("$technique->name is done on the whole model, not on an area.", $pointer);
    }
}
