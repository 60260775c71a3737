<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use LogicException;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** At least `min` colour steps, and at most `max` (null: open). */
final readonly class StepsRequirement extends Requirement
{
    /** @param  list<Reason>  $reasons */
    public function __construct(?string $area, array $reasons, ?Severity $severity, public int $min, public ?int $max)
    {
        parent::__construct($area, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Steps;
    }

    public function subject(): string
    {
        return 'colour_steps';
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self)) {
            throw new LogicException('Only steps join steps.');
        }
        $max = $this->max === null || $other->max === null ? $this->max ?? $other->max : min($this->max, $other->max);
        $severity = self::graver($this->severity, $other->severity);

        return new self($this->area, $this->reasonsWith($other), $severity, max($this->min, $other->min), $max);
    }

    public function accept(RequirementVisitor $visitor): mixed
    {
        return $visitor->steps($this);
    }

    public function trendFrom(Requirement $was): ?Trend
    {
        return $was instanceof self ? self::trendOfRange($was->min, $was->max, $this->min, $this->max) : Trend::Changed;
    }

    public function least(): int
    {
        return $this->min;
    }

    public function most(): ?int
    {
        return $this->max;
    }

    public function has(array $used): int
    {
        return array_sum(array_map(fn (UsedTechnique $u) => $u->credit(), $used));
    }

    public function left(array $done): static
    {
        $has = $this->has($done);
        $max = $this->max === null ? null : max(0, $this->max - $has);

        return new self($this->area, $this->reasons, $this->severity, max(0, $this->min - $has), $max);
    }

    public function isHelpedBy(UsedTechnique $used, array $all): bool
    {
        return $used->credit() > 0 && $this->has($all) - $used->technique->credit < $this->min;
    }

    public function isGivenBy(Technique $technique): bool
    {
        return false;
    }

    public function choiceKey(): string
    {
        return "$this->min $this->max";
    }

    public function simpler(Reason $because): static
    {
        return $this;
    }
}
