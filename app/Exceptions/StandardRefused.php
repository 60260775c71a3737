<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The standard, its draft and what was published. */
final class StandardRefused extends Refusal
{
    /** Changes are made in an open draft. */
    public static function noDraftOpen(): self
    {
        return new self('No draft is open.', '', 409);
    }

    /** Nothing was published or begun yet. */
    public static function noStandard(): self
    {
        return new self('There is no standard yet: import a pack.', '', 404);
    }

    /** What clients and orders rest on is the published standard, and there is none. */
    public static function nothingPublished(): self
    {
        return new self('No version of the standard is published yet: publish the draft first.', '', 409);
    }

    /** A list of changes was empty. */
    public static function nothingToChange(): self
    {
        return new self('There is nothing to change.', '/changes');
    }
}
