<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/** What the clauses so far say of a technique at one place. */
final readonly class TechniqueSaid
{
    /** @param  list<TechniqueRequirement>  $required */
    public function __construct(public TechniqueStatus $status, public array $required = [])
    {
    }

    public function isUsable(): bool
    {
        return $this->status->isUsable();
    }

    public function requiring(TechniqueRequirement $one): self
    {
        return new self(TechniqueStatus::Required, [...$this->required, $one]);
    }

    /** The last clause decides, except that `allowed` never lowers `required`; another cancels what was required. */
    public function then(TechniqueClause $clause): self
    {
        $stays = $clause->status === TechniqueStatus::Allowed && $this->status === TechniqueStatus::Required;

        $same = $this->status === $clause->status && $this->required === [];

        return $stays || $same ? $this : new self($clause->status);
    }
}
