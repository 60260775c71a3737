<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Something is missing before a unit goes to the bench; the lead may go on with a reason. */
final class ReleaseHasGaps extends Conflict
{
    /** @param  non-empty-list<string>  $missing  in words */
    public function __construct(public readonly array $missing)
    {
        parent::__construct(
            'Before it goes to the bench: '.implode(' ', $missing).' Say why it goes all the same.',
            ['missing' => $missing],
        );
    }
}
