<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** A result that is asked for, whatever technique gives it, unless `by` narrows that. Any of the effects counts. */
final readonly class EffectClause extends Clause
{
    /**
     * @param  non-empty-list<Effect>  $effects
     * @param  list<string>|null  $by  keys of techniques; null: any
     */
    public function __construct(
        string $id,
        public array $effects,
        public ?Extent $extent = null,
        public ?int $passes = null,
        public ?array $by = null,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
        public ?Place $place = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function asked(): AskedEffect
    {
        return new AskedEffect($this->effects, $this->extent(), $this->passes(), $this->by);
    }

    public function extent(): Extent
    {
        return $this->extent ?? Extent::Full;
    }

    public function passes(): int
    {
        return $this->passes ?? 1;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->effect($this);
    }

    public function fields(): array
    {
        return [ClauseField::Effect, ClauseField::Extent, ClauseField::Passes, ClauseField::By, ClauseField::Place];
    }

    protected function taking(ClauseChange $change): static
    {
        return new self(
            $change->id ?? $this->id,
            $change->effects === null || $change->effects === [] ? $this->effects : $change->effects,
            $change->extent ?? $this->extent,
            $change->passes ?? $this->passes,
            $change->by ?? $this->by,
            ...$this->common($change),
            place: $change->place ?? $this->place,
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self && $this->asked()->implies($other->asked());
    }

    public function raisedTo(Clause $other): ?static
    {
        return $other instanceof self && $this->effects === $other->effects && $this->by === $other->by
            ? $this->changed(
                new ClauseChange(
                    extent: $other->extent()->value > $this->extent()->value ? $other->extent() : $this->extent(),
                    passes: max($this->passes(), $other->passes()),
                ),
            )
            : null;
    }
}
