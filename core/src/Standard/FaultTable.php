<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use OutOfBoundsException;

/** The fault table: what can be wrong with a painted model. */
final readonly class FaultTable
{
    /** What is asked for and not there. */
    public const MISSING = 'missing_technique';

    /** Faults that any paint can have, where what is asked says nothing of them. */
    public const ANYWHERE = ['flat_area', 'colour_drift', 'patchy_cover', 'hard_step'];

    /** @param  array<string, FaultKind>  $kinds */
    public function __construct(public array $kinds)
    {
    }

    /** @throws OutOfBoundsException when there is no such fault */
    public function kind(string $key): FaultKind
    {
        return $this->kinds[$key] ?? throw new OutOfBoundsException("There is no fault \"$key\" in the fault table.");
    }
}
