<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How many colours are sprayed on the model. */
final readonly class SprayedColoursClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        public int $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->sprayedColours($this);
    }

    public function fields(): array
    {
        return [ClauseField::Min, ClauseField::Max];
    }

    protected function taking(ClauseChange $change): static
    {
        $change->keepsCeiling();

        return new self(
            $change->id ?? $this->id,
            $change->wholeMin(0, 99) ?? $this->min,
            $change->wholeMax(0, 99) ?? $this->max,
            ...$this->common($change),
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self && $this->min >= $other->min;
    }

    public function raisedTo(Clause $other): ?static
    {
        return $other instanceof self
            ? $this->changed(
                new ClauseChange(
                    min: max($this->min, $other->min),
                    max: (float) max($this->max, $this->min, $other->min),
                ),
            )
            : null;
    }
}
