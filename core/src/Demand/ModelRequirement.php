<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use LogicException;
use Ordotype\Core\Standard\Severity;

/** A range that the whole model keeps to: sprayed colours, hand minutes, skill of who paints it. Null: open. */
final readonly class ModelRequirement extends Requirement
{
    /** @param  list<Reason>  $reasons */
    public function __construct(
        private RequirementKind $kind,
        array $reasons,
        ?Severity $severity,
        public ?float $min,
        public ?float $max,
    ) {
        parent::__construct(null, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return $this->kind;
    }

    public function subject(): string
    {
        return $this->kind->value;
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self) || $other->kind !== $this->kind) {
            throw new LogicException('Only what is of the same kind is joined.');
        }
        $severity = self::graver($this->severity, $other->severity);
        $min = $this->min === null || $other->min === null ? $this->min ?? $other->min : max($this->min, $other->min);
        $max = $this->max === null || $other->max === null ? $this->max ?? $other->max : min($this->max, $other->max);

        return new self($this->kind, $this->reasonsWith($other), $severity, $min, $max);
    }
}
