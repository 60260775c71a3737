<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Size;

/** The most hand minutes a piece of these sizes may take. */
final readonly class MinutesClause extends Clause
{
    /** @param  list<Size>  $size */
    public function __construct(
        string $id,
        public array $size,
        public float $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->minutes($this);
    }

    public function fields(): array
    {
        return [ClauseField::Size, ClauseField::Max];
    }

    protected function taking(ClauseChange $change): static
    {
        $change->keepsCeiling();

        return new self(
            $change->id ?? $this->id,
            $change->sizes ?? $this->size,
            $change->max ?? $this->max,
            ...$this->common($change),
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self && $this->size === $other->size && $this->max <= $other->max;
    }

    public function raisedTo(Clause $other): ?static
    {
        return null;
    }
}
