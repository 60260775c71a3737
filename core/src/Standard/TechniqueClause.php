<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What the tier says of a technique, or of every technique of a family: exactly one of the two is set. */
final readonly class TechniqueClause extends Clause
{
    /**
     * @param  string|null  $price decimal string with two places, for what is on request
     * @param  float|null  $minutes  what the final look takes on a model, in place of what pace and size say
     */
    public function __construct(
        string $id,
        public ?string $technique,
        public ?Family $family,
        public TechniqueStatus $status,
        public ?Extent $extent = null,
        public ?int $passes = null,
        public ?string $price = null,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
        public ?Place $place = null,
        public ?float $minutes = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function extent(): Extent
    {
        return $this->extent ?? Extent::Full;
    }

    public function passes(): int
    {
        return $this->passes ?? 1;
    }

    public function isRequired(): bool
    {
        return $this->status === TechniqueStatus::Required;
    }

    /** In passes and extent alone. */
    public function isAsMuchAs(self $other): bool
    {
        return $this->extent()->value >= $other->extent()->value && $this->passes() >= $other->passes();
    }

    public function names(Technique $technique): bool
    {
        return $this->technique === null
            ? $technique->family === $this->family
            : $technique->key === $this->technique;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->technique($this);
    }

    public function fields(): array
    {
        return [
            ClauseField::Technique,
            ClauseField::Family,
            ClauseField::Status,
            ClauseField::Extent,
            ClauseField::Passes,
            ClauseField::Price,
            ClauseField::Place,
            ClauseField::Minutes,
        ];
    }

    protected function taking(ClauseChange $change): static
    {
        if ($change->technique !== null && ($this->technique === null || $change->family !== null)) {
            throw UnfitChange::notThere(ClauseField::Technique);
        }
        if ($change->family !== null && $this->family === null) {
            throw UnfitChange::notThere(ClauseField::Family);
        }

        return new self(
            $change->id ?? $this->id,
            $change->technique ?? $this->technique,
            $change->family ?? $this->family,
            $change->status ?? $this->status,
            $change->extent ?? $this->extent,
            $change->passes ?? $this->passes,
            $change->price ?? $this->price,
            ...$this->common($change),
            place: $change->place ?? $this->place,
            minutes: $change->minutes ?? $this->minutes,
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return $other instanceof self &&
            $this->technique === $other->technique &&
            $this->family === $other->family &&
            $this->isRequired() &&
            (! $other->isRequired() || $this->isAsMuchAs($other));
    }

    public function raisedTo(Clause $other): ?static
    {
        return null;
    }
}
