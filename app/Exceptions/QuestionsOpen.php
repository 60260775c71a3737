<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A piece is not conceded before all that must be looked at was. */
final class QuestionsOpen extends Refusal
{
    public function __construct()
    {
        parent::__construct('Some mandatory questions have no answer yet.', '/verdict', 409);
    }
}
