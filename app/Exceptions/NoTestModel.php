<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A unit's test model is named before it is judged. */
final class NoTestModel extends Refusal
{
    public function __construct()
    {
        parent::__construct('No model of this unit is its test model: name one first.', '/passed', 409);
    }
}
