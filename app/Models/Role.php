<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody does in the studio. */
enum Role: string
{
    case Lead = 'lead';
    case Painter = 'painter';
    case Desk = 'desk';
}
