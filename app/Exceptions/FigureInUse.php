<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The areas of a map that units are painted from stay. */
final class FigureInUse extends Refusal
{
    public function __construct(public readonly int $units)
    {
        parent::__construct(
            "$units ".
                ($units === 1 ? 'unit is' : 'units are').
                ' painted from this map: outlines and pictures can be changed, its areas and their '.
                'figures cannot. Keep the changed map under another name.',
            '/document',
            409,
        );
    }
}
