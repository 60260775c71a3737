<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** The paints of one slot or area: each from the shelf, a #rrggbb or mixed; lights from the darkest up. */
final readonly class AreaColours
{
    /**
     * @param  list<Pot>  $shades
     * @param  list<Pot>  $lights
     * @param  Pot|null  $patch  the opaque match of a stain
     */
    public function __construct(
        public Pot $base,
        public array $shades,
        public array $lights,
        public ?Pot $tint = null,
        public ?Pot $line = null,
        public ?Pot $patch = null,
    ) {
    }
}
