<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use LogicException;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Severity;

/** A technique that is asked for by name. */
final readonly class TechniqueRequirement extends Requirement implements CountableRequirement
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

    public function floor(): int
    {
        return $this->passes;
    }

    public function lessDone(int $done): ?self
    {
        return $done >= $this->passes
            ? null
            : new self(
                $this->area,
                $this->reasons,
                $this->severity,
                $this->technique,
                $this->extent,
                $this->passes - $done,
            );
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
}
