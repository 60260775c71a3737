<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/** A kind of area, as an area on a model of its own; or such models as a whole. */
final readonly class AreaKind
{
    public function __construct(public Area $area, public Sculpt $sculpt, public bool $isWholeModel = false)
    {
    }

    public function asWholeModel(): self
    {
        return new self($this->area, $this->sculpt, true);
    }
}
