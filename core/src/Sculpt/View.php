<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** The sides a piece is looked at from. */
enum View: string
{
    case Front = 'front';
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Under = 'under';
}
