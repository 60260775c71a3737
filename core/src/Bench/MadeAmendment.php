<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Standard\Amendment;

/** An amendment with who made it and when. */
final readonly class MadeAmendment
{
    /**
     * @param  string|null  $by  name
     * @param  string|null  $at  RFC 3339, UTC
     * @param  int|null  $piece  number of the piece it is for; null: the unit, the order or the studio
     */
    public function __construct(
        public Amendment $amendment,
        public ?string $by,
        public ?string $at,
        public ?int $piece,
    ) {
    }
}
