<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A drill wants a figure with outlines and a tier that is offered. */
final class NothingToDraw extends Refusal
{
    public function __construct()
    {
        parent::__construct('The eye is trained on a figure with outlines, at a tier that is offered.', '/tier');
    }
}
