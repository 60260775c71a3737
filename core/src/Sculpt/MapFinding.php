<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** Something on a sculpt's map that is worth a look; `kind` is a fixed word. */
final readonly class MapFinding
{
    public function __construct(public string $kind, public ?string $area, public string $text)
    {
    }
}
