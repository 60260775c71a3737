<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use LogicException;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Severity;

/** A figure that the finished area must reach, or must not pass, whichever way the criterion runs. */
final readonly class FinishRequirement extends Requirement
{
    /** @param  list<Reason>  $reasons */
    public function __construct(
        string $area,
        array $reasons,
        ?Severity $severity,
        public Criterion $criterion,
        public float $limit,
    ) {
        parent::__construct($area, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Finish;
    }

    public function subject(): string
    {
        return $this->criterion->value;
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self)) {
            throw new LogicException('Only a finish joins a finish.');
        }
        $limits = [$this->limit, $other->limit];
        $severity = self::graver($this->severity, $other->severity);

        return new self(
            (string) $this->area,
            $this->reasonsWith($other),
            $severity,
            $this->criterion,
            $this->criterion->isFloor() ? max($limits) : min($limits),
        );
    }
}
