<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/**
 * A technique as it is used on an area, as far as what is asked looks at it. Where the technique tapers, the extent is
 * that of its first pass.
 */
readonly class UsedTechnique
{
    public function __construct(public Technique $technique, public Extent $extent, public int $passes)
    {
    }

    /** How widely a pass is done, from 1 on. */
    public function extentOf(int $pass): Extent
    {
        return $this->technique->extentOf($pass, $this->extent);
    }

    /** Colour steps it counts for: only what is used on prominent parts or everywhere does. */
    public function credit(): int
    {
        return $this->extent->value >= Extent::Prominent->value ? $this->technique->credit * $this->passes : 0;
    }
}
