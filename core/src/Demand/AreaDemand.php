<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use Ordotype\Core\Sculpt\Area;

/** Everything a tier says of one area (null: of the whole model), clause by clause and joined. */
final readonly class AreaDemand
{
    /** @var list<Requirement> what the clauses ask together */
    public array $requirements;

    /**
     * @param  list<Requirement>  $asked  what each clause asks by itself, in clause order, applicable ones only
     * @param  array<string, true>  $allowed  keys of techniques that the tier requires or allows here
     * @param  list<NotApplicable>  $notApplicable
     * @param  array<string, true>  $onRequest  keys of techniques that the client may ask for here
     */
    public function __construct(
        public ?Area $area,
        public array $asked,
        public array $allowed,
        public array $notApplicable,
        public array $onRequest = [],
    ) {
        $this->requirements = Requirement::join($asked);
    }

    /** @return list<Requirement> */
    public function of(RequirementKind $kind): array
    {
        return array_values(array_filter($this->requirements, fn (Requirement $r) => $r->kind === $kind));
    }

    public function first(RequirementKind $kind): ?Requirement
    {
        return $this->of($kind)[0] ?? null;
    }

    /** The same demand with only some of what was asked; what is allowed stays. */
    public function asking(Requirement ...$asked): self
    {
        return new self($this->area, array_values($asked), $this->allowed, $this->notApplicable, $this->onRequest);
    }
}
