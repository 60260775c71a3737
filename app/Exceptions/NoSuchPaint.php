<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Neither a paint on the shelf nor a colour. */
final class NoSuchPaint extends Refusal
{
    public function __construct(public readonly string $paint)
    {
        parent::__construct("\"$paint\" is neither a paint on the shelf nor a colour of the form #rrggbb.", '/paint');
    }
}
