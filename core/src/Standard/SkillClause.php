<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** The least skill, 1 to 5, of whoever paints it. */
final readonly class SkillClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->skill($this);
    }

    public function fields(): array
    {
        return [ClauseField::Min];
    }

    protected function taking(ClauseChange $change): static
    {
        return new self($change->id ?? $this->id, $change->wholeMin(1, 5) ?? $this->min, ...$this->common($change));
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self && $this->min >= $other->min;
    }

    public function raisedTo(Clause $other): ?static
    {
        return $other instanceof self ? $this->changed(new ClauseChange(min: max($this->min, $other->min))) : null;
    }
}
