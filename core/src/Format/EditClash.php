<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use RuntimeException;
use stdClass;

/** What an edit starts from is not what stands there now. */
final class EditClash extends RuntimeException
{
    public function __construct(string $message, public readonly int $place, public readonly ?stdClass $current)
    {
        parent::__construct($message);
    }
}
