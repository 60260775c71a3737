<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** The side of the model an area is on. */
enum Facing: string
{
    case Front = 'front';
    case Back = 'back';
    case Both = 'both';
    case Under = 'under';
}
