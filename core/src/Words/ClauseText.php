<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

/** A clause in words, as each kind says it. */
final readonly class ClauseText
{
    /**
     * @param  string  $sentence  all of it, without its full stop
     * @param  string  $cell  the few words that fit a cell of the ladder; extent, passes and status are shown by
     * marks beside them
     * @param  string  $row  what it calls its row where it has no label
     * @param  string  $place  where on its areas, after a comma; empty where it does not say
     * @param  string|null  $which  what tells the rungs of a row apart that ask for different things; null: nothing
     */
    public function __construct(
        public string $sentence,
        public string $cell,
        public string $row,
        public string $place = '',
        public ?string $which = null,
    ) {
    }
}
