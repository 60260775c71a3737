<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** How well a paint covers. */
enum Hiding: string
{
    case High = 'high';
    case Medium = 'medium';
    case Low = 'low';
}
