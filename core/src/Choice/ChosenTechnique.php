<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/** A technique as a plan uses it on an area: how many passes, how widely, minutes of one pass. */
final readonly class ChosenTechnique
{
    public function __construct(
        public Technique $technique,
        public int $index,
        public int $passes,
        public Extent $extent,
        public float $minutesAPass,
    ) {
    }

    public function minutes(): float
    {
        return $this->passes * $this->minutesAPass;
    }

    /** Colour steps it counts for: only what is used on prominent parts or everywhere does. */
    public function credit(): int
    {
        return $this->extent->value >= Extent::Prominent->value ? $this->technique->credit * $this->passes : 0;
    }

    public function with(int $passes): self
    {
        return new self($this->technique, $this->index, $passes, $this->extent, $this->minutesAPass);
    }
}
