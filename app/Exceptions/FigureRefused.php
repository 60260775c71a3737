<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Figures, their maps and areas. */
final class FigureRefused extends Refusal
{
    /** The areas of a map that units are painted from stay. */
    public static function inUse(int $units): self
    {
        return new self(
            "$units ".
                ($units === 1 ? 'unit is' : 'units are').
                ' painted from this map: outlines and pictures can be changed, its areas and their '.
                'figures cannot. Keep the changed map under another name.',
            '/document',
            409,
        );
    }

    /** Two figures cannot have one name. */
    public static function nameTaken(string $name): self
    {
        return new self("There is a figure \"$name\" already: choose another name.", '/document/name');
    }

    /** The figure has no area of that key. */
    public static function noSuchArea(string $area, string $figure, string $pointer): self
    {
        return new self("\"$area\" is not an area of $figure.", $pointer);
    }

    /** Plans are copied and compared between units of one sculpt. */
    public static function otherFigure(string $pointer): self
    {
        return new self('The other unit is another figure: its areas are not these.', $pointer);
    }
}
