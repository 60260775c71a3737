<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Colour\SlotProblem;
use Ordotype\Core\Colour\SlotProblemKind;

/** What is wrong with the colours of a scheme, in words. */
final class SchemeWords
{
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
