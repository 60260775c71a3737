<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** The paints of one slot or area: each a name from the shelf or #rrggbb, lights from the darkest up. */
final readonly class AreaColours
{
    /**
     * @param  list<string>  $shades
     * @param  list<string>  $lights
     * @param  string|null  $patch  the opaque match of a stain
     */
    public function __construct(
        public string $base,
        public array $shades,
        public array $lights,
        public ?string $tint = null,
        public ?string $line = null,
        public ?string $patch = null,
    ) {
    }
}
