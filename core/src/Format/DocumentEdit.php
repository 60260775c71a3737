<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use stdClass;

/**
 * One change of a standard's document: a clause, the head of a tier, a technique or a price goes from what it was to
 * what it is. Null before: it is new; null after: it goes. Swapped round, an edit undoes itself.
 */
final readonly class DocumentEdit
{
    /**
     * @param  string  $what  clause, tier, technique or price
     * @param  string|null  $tier  key of the tier whose clause it is
     */
    public function __construct(
        public string $what,
        public ?string $tier,
        public ?stdClass $before,
        public ?stdClass $after,
    ) {
    }

    public function undone(): self
    {
        return new self($this->what, $this->tier, $this->after, $this->before);
    }
}
