<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** How much an area matters on the model. */
enum Rank: string
{
    case Main = 'main';
    case Secondary = 'secondary';
    case Detail = 'detail';
    case Ground = 'ground';
}
