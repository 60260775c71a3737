<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * One thing a tier says. Fields that a file may leave out are null when they are not stated, so that what is written
 * back is what was read; the methods give the values that hold.
 */
abstract readonly class Clause
{
    public function __construct(
        public string $id,
        public ?Scope $scope = null,
        public ?string $label = null,
        public ?string $clientText = null,
        public ?Severity $severity = null,
    ) {
    }

    public function scope(): Scope
    {
        return $this->scope ?? new Scope();
    }

    /** The id after its first dot: what a tier that extends another replaces or drops by. */
    public function suffix(): string
    {
        $dot = strpos($this->id, '.');

        return $dot === false ? $this->id : substr($this->id, $dot + 1);
    }
}
