<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Format\EditClash;

/** Something is not as an edit says it was. */
final class EditsClash extends Conflict
{
    public function __construct(public readonly EditClash $clash)
    {
        parent::__construct($clash->getMessage(), ['change' => $clash->place, 'current' => $clash->current]);
    }
}
