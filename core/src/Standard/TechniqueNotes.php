<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What a painter reads about a technique. Texts may be empty; `faults` are keys of the fault table. */
final readonly class TechniqueNotes
{
    /** @param  list<string>  $faults */
    public function __construct(
        public string $purpose,
        public string $how,
        public string $consistency,
        public string $tools,
        public string $good,
        public array $faults,
        public ?string $caution,
    ) {
    }
}
