<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Plans are copied and compared between units of one sculpt. */
final class OtherFigure extends Refusal
{
    public function __construct(string $pointer)
    {
        parent::__construct('The other unit is another figure: its areas are not these.', $pointer);
    }
}
