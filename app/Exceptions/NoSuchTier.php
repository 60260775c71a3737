<?php

declare(strict_types=1);

namespace App\Exceptions;

/** No tier of the standard has that key. */
final class NoSuchTier extends Refusal
{
    public function __construct(public readonly string $tier, string $pointer, public readonly ?int $version = null)
    {
        parent::__construct(
            $version === null
                ? "There is no tier \"$tier\"."
                : "Version $version of the standard has no tier \"$tier\".",
            $pointer,
        );
    }
}
