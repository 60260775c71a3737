<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Scheme;
use App\Models\SchemeVersion;

/** Schemes of colours and their versions. */
final class SchemeRefused extends Refusal
{
    /** The scheme of an order stays once a unit of it is on the bench. */
    public static function inUse(): self
    {
        return new self(
            'A unit of this order is on the bench: its scheme stays. Make a new version of it instead.',
            '/scheme',
            409,
        );
    }

    /** A version of a scheme is judged once. */
    public static function judged(SchemeVersion $version): self
    {
        return new self("Version $version->number has been judged already: it was $version->outcome.", '', 409);
    }

    /** Two schemes cannot have one name. */
    public static function nameTaken(string $name): self
    {
        return new self("There is a scheme \"$name\" already: choose another name.", '/document/name');
    }

    /** Nothing is painted in colours that were rejected on their test model. */
    public static function testModelRejected(Scheme $scheme): self
    {
        return new self(
            "The test model of scheme $scheme->name was rejected: change its colours first.",
            '/scheme',
            409,
        );
    }
}
