<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use LogicException;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** A range that the whole model keeps to: sprayed colours, hand minutes, skill of who paints it. Null: open. */
final readonly class ModelRequirement extends Requirement
{
    /** @param  list<Reason>  $reasons */
    public function __construct(
        public ModelFigure $figure,
        array $reasons,
        ?Severity $severity,
        public ?float $min,
        public ?float $max,
    ) {
        parent::__construct(null, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return $this->figure->kind();
    }

    public function subject(): string
    {
        return $this->kind()->value;
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self) || $other->figure !== $this->figure) {
            throw new LogicException('Only what is of the same kind is joined.');
        }
        $severity = self::graver($this->severity, $other->severity);
        $min = $this->min === null || $other->min === null ? $this->min ?? $other->min : max($this->min, $other->min);
        $max = $this->max === null || $other->max === null ? $this->max ?? $other->max : min($this->max, $other->max);

        return new self($this->figure, $this->reasonsWith($other), $severity, $min, $max);
    }

    public function accept(RequirementVisitor $visitor): mixed
    {
        return $visitor->model($this);
    }

    public function trendFrom(Requirement $was): ?Trend
    {
        return $was instanceof self ? self::trendOfRange($was->min, $was->max, $this->min, $this->max) : Trend::Changed;
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
