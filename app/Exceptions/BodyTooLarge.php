<?php

declare(strict_types=1);

namespace App\Exceptions;

/** More was sent than is read, by its bytes or by the number of its values. */
final class BodyTooLarge extends Refusal
{
    public function __construct(string $than)
    {
        parent::__construct("What was sent is larger than $than; nothing of it was taken.", '', 413);
    }
}
