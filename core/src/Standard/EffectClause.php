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

    public function extent(): Extent
    {
        return $this->extent ?? Extent::Full;
    }

    public function passes(): int
    {
        return $this->passes ?? 1;
    }
}
