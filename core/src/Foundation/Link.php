<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** A record of the chain as it is kept. */
final readonly class Link
{
    /** @param  string  $record  RFC 8785 bytes, of which the hash is the SHA-256 */
    public function __construct(
        public int $number,
        public string $previous,
        public string $hash,
        public string $record,
    ) {
    }
}
