<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\View;

/**
 * How pieces of these roles are checked: which are inspected, how many faults of each severity pass, which views are
 * photographed, which gates are kept, and which faults need the client's consent.
 */
final readonly class AcceptanceClause extends Clause
{
    /**
     * @param  list<Role>  $role
     * @param  bool  $sampled  false: every piece is inspected
     * @param  string|null  $level  general inspection level I, II or III
     * @param  array<string, float>|null  $aql  severity word to acceptable quality limit in percent
     * @param  array<string, int>  $limits  severity word to the most faults that pass
     * @param  list<View>  $views
     * @param  list<Gate>  $gates
     */
    public function __construct(
        string $id,
        public array $role,
        public bool $sampled,
        public ?string $level,
        public ?array $aql,
        public array $limits,
        public array $views,
        public array $gates,
        public Consent $consent,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
        public PhotographsWanted $photographs = PhotographsWanted::WhereThereAre,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->acceptance($this);
    }

    public function fields(): array
    {
        return [
            ClauseField::Role,
            ClauseField::Inspect,
            ClauseField::Level,
            ClauseField::Aql,
            ClauseField::Limits,
            ClauseField::Views,
            ClauseField::Gates,
            ClauseField::Consent,
            ClauseField::Photographs,
        ];
    }

    protected function taking(ClauseChange $change): static
    {
        return new self(
            $change->id ?? $this->id,
            $change->roles ?? $this->role,
            $change->sampled ?? $this->sampled,
            $change->level ?? $this->level,
            $change->aql ?? $this->aql,
            $change->limits ?? $this->limits,
            $change->views ?? $this->views,
            $change->gates ?? $this->gates,
            $change->consent ?? $this->consent,
            ...$this->common($change),
            photographs: $change->photographs ?? $this->photographs,
        );
    }

    public function asksAtLeast(Clause $other): bool
    {
        return false;
    }

    public function raisedTo(Clause $other): ?static
    {
        return null;
    }
}
