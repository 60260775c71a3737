<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\StandardVersion;

/** The draft is not the one that was looked at. */
final class DraftChanged extends Conflict
{
    public function __construct(public readonly StandardVersion $draft, string $then)
    {
        parent::__construct("The draft was changed after you looked at it: $then once more.", [
            'revision' => $draft->revision,
        ]);
    }
}
