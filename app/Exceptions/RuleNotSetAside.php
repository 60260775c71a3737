<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Only a rule that was set aside can be upheld again. */
final class RuleNotSetAside extends Refusal
{
    public function __construct()
    {
        parent::__construct('That rule is not set aside.', '', 404);
    }
}
