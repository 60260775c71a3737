<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use LogicException;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** A technique that is asked for by name. */
final readonly class TechniqueRequirement extends Requirement
{
    /**
     * @param  list<Reason>  $reasons
     * @param  string  $technique  key
     */
    public function __construct(
        ?string $area,
        array $reasons,
        ?Severity $severity,
        public string $technique,
        public Extent $extent,
        public int $passes,
    ) {
        parent::__construct($area, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Technique;
    }

    public function subject(): string
    {
        return $this->technique;
    }

    public function and(Requirement $other): static
    {
        if (! ($other instanceof self)) {
            throw new LogicException('Only a technique joins a technique.');
        }
        $extent = $this->extent->value >= $other->extent->value ? $this->extent : $other->extent;
        $severity = self::graver($this->severity, $other->severity);

        return new self(
            $this->area,
            $this->reasonsWith($other),
            $severity,
            $this->technique,
            $extent,
            max($this->passes, $other->passes),
        );
    }

    public function accept(RequirementVisitor $visitor): mixed
    {
        return $visitor->technique($this);
    }

    public function trendFrom(Requirement $was): ?Trend
    {
        return $was instanceof self ? self::trend($this->isAtLeast($was), $was->isAtLeast($this)) : Trend::Changed;
    }

    public function least(): int
    {
        return $this->passes;
    }

    public function most(): ?int
    {
        return null;
    }

    public function has(array $used): int
    {
        $have = 0;
        foreach ($used as $one) {
            if ($one->technique->key === $this->technique && $one->extent->value >= $this->extent->value) {
                $have += $one->passes;
            }
        }

        return $have;
    }

    public function left(array $done): ?static
    {
        $left = $this->passes - $this->has($done);

        return $left <= 0
            ? null
            : new self($this->area, $this->reasons, $this->severity, $this->technique, $this->extent, $left);
    }

    public function isHelpedBy(UsedTechnique $used, array $all): bool
    {
        return $used->technique->key === $this->technique;
    }

    public function isGivenBy(Technique $technique): bool
    {
        return $technique->key === $this->technique;
    }

    public function choiceKey(): string
    {
        return "$this->technique {$this->extent->value} $this->passes";
    }

    public function simpler(Reason $because): static
    {
        return $this;
    }

    private function isAtLeast(self $other): bool
    {
        return $this->extent->value >= $other->extent->value && $this->passes >= $other->passes;
    }
}
