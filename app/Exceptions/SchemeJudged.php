<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\SchemeVersion;

/** A version of a scheme is judged once. */
final class SchemeJudged extends Refusal
{
    public function __construct(public readonly SchemeVersion $version)
    {
        parent::__construct("Version $version->number has been judged already: it was $version->outcome.", '', 409);
    }
}
