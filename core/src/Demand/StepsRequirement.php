<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use LogicException;
use Ordotype\Core\Standard\Severity;

/** At least `min` colour steps, and at most `max` (null: open). */
final readonly class StepsRequirement extends Requirement implements CountableRequirement
{
    /** @param  list<Reason>  $reasons */
    public function __construct(?string $area, array $reasons, ?Severity $severity, public int $min, public ?int $max)
    {
        parent::__construct($area, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Steps;
    }

    public function subject(): string
    {
        return 'colour_steps';
    }

    public function floor(): int
    {
        return $this->min;
    }

    public function lessDone(int $done): self
    {
        $max = $this->max === null ? null : max(0, $this->max - $done);

        return new self($this->area, $this->reasons, $this->severity, max(0, $this->min - $done), $max);
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self)) {
            throw new LogicException('Only steps join steps.');
        }
        $max = $this->max === null || $other->max === null ? $this->max ?? $other->max : min($this->max, $other->max);
        $severity = self::graver($this->severity, $other->severity);

        return new self($this->area, $this->reasonsWith($other), $severity, max($this->min, $other->min), $max);
    }
}
