<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** Gathers what is wrong while a document is read, so that all of it can be said at once. */
final class Problems
{
    /** @var list<Problem> */
    private array $found = [];

    public function add(string $path, string $reason): void
    {
        $this->found[] = new Problem($path, $reason);
    }

    public function any(): bool
    {
        return $this->found !== [];
    }

    /** @throws FormatException when anything was found */
    public function refuse(): void
    {
        if ($this->found !== []) {
            throw new FormatException($this->found);
        }
    }
}
