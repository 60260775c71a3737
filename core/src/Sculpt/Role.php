<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** What a model is in its army. */
enum Role: string
{
    case Regular = 'regular';
    case Hero = 'hero';
    case Horde = 'horde';
    case Centrepiece = 'centrepiece';
}
