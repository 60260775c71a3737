<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

/** Something the plan wants a person to know. `kind` is a fixed word, `text` says it in words. */
final readonly class Warning
{
    /**
     * @param  list<string>  $rules  rules of order it is about
     * @param  string|null  $technique  key of the technique it is about
     */
    public function __construct(
        public string $kind,
        public ?string $area,
        public string $text,
        public array $rules = [],
        public ?string $technique = null,
    ) {
    }
}
