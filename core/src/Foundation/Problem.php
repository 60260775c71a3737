<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** One thing that is wrong in a file: a JSON pointer (RFC 6901) to the place, and the reason. */
final readonly class Problem
{
    public function __construct(public string $path, public string $reason)
    {
    }

    public function __toString(): string
    {
        return ($this->path === '' ? '/' : $this->path).': '.$this->reason;
    }
}
