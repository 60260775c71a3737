<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Colour\PaintFault;
use Ordotype\Core\Colour\SlotProblem;
use Ordotype\Core\Colour\SlotProblemKind;

/** What is wrong with the colours of a scheme, in words. */
final class SchemeWords
{
    /** Why a line of a table is no paint. */
    public static function paint(PaintFault $fault): string
    {
        return match ($fault) {
            PaintFault::NoName => 'has no name of at most 80 characters that does not begin with #',
            PaintFault::Twice => 'is a paint that stands higher up already',
            PaintFault::NoColour => 'has no colour such as #3a4149 or 58, 65, 73',
            PaintFault::NoAmount => 'has no millilitres such as 17 or 17,5',
            PaintFault::NoHiding => 'does not say how well it covers: high, medium or low',
        };
    }

    public static function problem(SlotProblem $p): string
    {
        return match ($p->kind) {
            SlotProblemKind::NoColours => 'The scheme has no colours for this yet.',
            SlotProblemKind::NotOnShelf => "$p->paint is not on the shelf.",
            SlotProblemKind::ShadeHardlyDarker => "The shade $p->paint is hardly darker than $p->beside: it ".
                'will not show.',
            SlotProblemKind::LightNotLighter => "The light $p->paint is not lighter than $p->beside before it.",
            SlotProblemKind::LightHardlyLighter => "The light $p->paint is hardly lighter than $p->beside: the ".
                'difference is not seen on the table.',
        };
    }
}
