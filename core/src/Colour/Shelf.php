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

    /**
     * The colour of a scheme's entry: a paint's, the #rrggbb itself, or the forecast of a mix; null where the shelf
     * does not hold a paint of it.
     */
    public function colourOf(string|Pot $entry): ?Srgb
    {
        if (is_string($entry)) {
            return Srgb::isHex($entry) ? Srgb::fromHex($entry) : $this->paint($entry)?->colour;
        }
        $colours = [];
        foreach (array_keys($entry->parts) as $paint) {
            $colour = $this->colourOf((string) $paint);
            if ($colour === null) {
                return null;
            }
            $colours[] = $colour;
        }

        return match (count($colours)) {
            0 => null,
            1 => $colours[0],
            default => Mix::of($colours, array_values($entry->parts) ?: [1]),
        };
    }

    /** A mix hides as its weakest paint does; a paint that the shelf does not hold as a middling one. */
    public function hidingOf(Pot $pot): Hiding
    {
        $weakest = Hiding::High;
        foreach (array_keys($pot->parts) as $paint) {
            $hiding = $this->paint((string) $paint)->hiding ?? Hiding::Medium;
            $weakest = $hiding === Hiding::Low || $weakest === Hiding::High ? $hiding : $weakest;
        }

        return $weakest;
    }
}
