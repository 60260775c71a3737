<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** A figure the finished area must reach, in the unit of its criterion. */
final readonly class FinishClause extends Clause
{
    public function __construct(
        string $id,
        public Criterion $criterion,
        public float $limit,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->finish($this);
    }

    public function fields(): array
    {
        return [ClauseField::Criterion, ClauseField::Limit];
    }

    protected function taking(ClauseChange $change): static
    {
        return new self(
            $change->id ?? $this->id,
            $change->criterion ?? $this->criterion,
            $change->limit ?? $this->limit,
            ...$this->common($change),
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self &&
            $this->criterion === $other->criterion &&
            ($this->criterion->isFloor() ? $this->limit >= $other->limit : $this->limit <= $other->limit);
    }

    public function raisedTo(Clause $other): ?static
    {
        return $other instanceof self && $this->criterion === $other->criterion
            ? $this->changed(new ClauseChange(limit: $other->limit))
            : null;
    }
}
