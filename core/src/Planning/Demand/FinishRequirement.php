<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use LogicException;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

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

    public function accept(RequirementVisitor $visitor): mixed
    {
        return $visitor->finish($this);
    }

    public function trendFrom(Requirement $was): ?Trend
    {
        if (! ($was instanceof self)) {
            return Trend::Changed;
        }
        $stricter = $this->criterion->isFloor() ? $this->limit > $was->limit : $this->limit < $was->limit;

        return $was->limit === $this->limit ? null : ($stricter ? Trend::Strengthened : Trend::Weakened);
    }

    public function least(): ?int
    {
        return null;
    }

    public function most(): ?int
    {
        return null;
    }

    public function has(array $used): ?int
    {
        return null;
    }

    public function left(array $done): static
    {
        return $this;
    }

    public function isHelpedBy(UsedTechnique $used, array $all): bool
    {
        return false;
    }

    public function isGivenBy(Technique $technique): bool
    {
        return false;
    }

    public function choiceKey(): string
    {
        return '';
    }

    public function simpler(Reason $because): static
    {
        return $this;
    }
}
