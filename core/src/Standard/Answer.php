<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * One answer to a school's question, for the areas of its scope or for one technique; where both are null it is the
 * answer for everything.
 */
final readonly class Answer
{
    /** @param  string|null  $technique  key */
    public function __construct(public string $value, public ?Scope $scope, public ?string $technique = null)
    {
    }
}
