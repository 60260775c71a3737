<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\Refusal;
use App\Models\Piece;

/** A model that something was not done on which was done on others, and why. */
final readonly class LeftOut
{
    public function __construct(public int $number, public string $why)
    {
    }

    public static function by(Piece $piece, Refusal $why): self
    {
        return new self($piece->number, $why->getMessage());
    }
}
