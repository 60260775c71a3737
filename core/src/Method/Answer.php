<?php

declare(strict_types=1);

namespace Ordotype\Core\Method;

use Ordotype\Core\Standard\Scope;

/** One answer to a school's question, for the areas of its scope; a null scope is the answer for all areas. */
final readonly class Answer
{
    public function __construct(public string $value, public ?Scope $scope)
    {
    }
}
