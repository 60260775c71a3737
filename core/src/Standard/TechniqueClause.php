<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What the tier says of a technique, or of every technique of a family: exactly one of the two is set. */
final readonly class TechniqueClause extends Clause
{
    /** @param  string|null  $price decimal string with two places, for what is on request */
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

    public function names(Technique $technique): bool
    {
        return $this->technique === null
            ? $technique->family === $this->family
            : $technique->key === $this->technique;
    }
}
