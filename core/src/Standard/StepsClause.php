<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How many colour steps each area gets: at least `min`, at most `max` (null: open). */
final readonly class StepsClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        public ?int $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->steps($this);
    }

    public function fields(): array
    {
        return [ClauseField::Min, ClauseField::Max];
    }

    protected function taking(ClauseChange $change): static
    {
        $max = $change->openMax ? null : $change->wholeMax(0, 99) ?? $this->max;

        return new self(
            $change->id ?? $this->id,
            $change->wholeMin(0, 99) ?? $this->min,
            $max,
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
                    max: $this->max === null ? null : (float) max($this->max, $this->min, $other->min),
                ),
            )
            : null;
    }
}
