<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** Who moves an order: somebody of the studio, the client by a link, or the order itself with what happens to it. */
enum Mover: string
{
    case Client = 'client';
    case Desk = 'desk';
    case Lead = 'lead';
    case Itself = 'itself';
}
