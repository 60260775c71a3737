<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** The paints a studio has. */
final readonly class Shelf
{
    /** @var array<string, Paint> */
    private array $byName;

    /** @param  list<Paint>  $paints */
    public function __construct(public array $paints)
    {
        $this->byName = array_combine(array_map(fn (Paint $p) => $p->name, $paints), $paints);
    }

    public function paint(string $name): ?Paint
    {
        return $this->byName[$name] ?? null;
    }

    /** The colour of a scheme's entry: a paint's, or the #rrggbb itself; null for a name the shelf does not hold. */
    public function colourOf(string $entry): ?Srgb
    {
        return Srgb::isHex($entry) ? Srgb::fromHex($entry) : $this->paint($entry)?->colour;
    }
}
