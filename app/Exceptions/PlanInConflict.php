<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A plan with conflicts cannot be released. */
final class PlanInConflict extends Refusal
{
    /** @param  list<string>  $why  sentences */
    public function __construct(public readonly array $why)
    {
        parent::__construct(
            'The plan has conflicts that want an amendment first: '.implode(' ', $why),
            '/conflicts',
        );
    }
}
