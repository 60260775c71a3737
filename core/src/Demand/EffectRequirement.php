<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use LogicException;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** A result that is asked for, whatever technique gives it, unless `by` narrows that. */
final readonly class EffectRequirement extends Requirement implements CountableRequirement
{
    /**
     * @param  list<Reason>  $reasons
     * @param  list<Effect>  $effects  any of them counts
     * @param  list<string>|null  $by  keys of techniques; null: any
     */
    public function __construct(
        ?string $area,
        array $reasons,
        ?Severity $severity,
        public array $effects,
        public Extent $extent,
        public int $passes,
        public ?array $by,
    ) {
        parent::__construct($area, $reasons, $severity);
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Effect;
    }

    public function subject(): string
    {
        return implode('|', array_map(fn (Effect $e) => $e->value, $this->effects));
    }

    public function floor(): int
    {
        return $this->passes;
    }

    /** The most extent at which a technique counts towards it; none where it does not count. */
    public function deliveredBy(Technique $technique): Extent
    {
        $most = Extent::None;
        if ($this->by === null || in_array($technique->key, $this->by, true)) {
            foreach ($this->effects as $effect) {
                $given = $technique->gives($effect);
                $most = $given->value > $most->value ? $given : $most;
            }
        }

        return $most;
    }

    /** Whether a technique, used widely enough, counts towards it. */
    public function isServedBy(Technique $technique): bool
    {
        return $this->deliveredBy($technique)->value >= $this->extent->value;
    }

    /** Same effect, extent and passes at least as great, `by` equal or narrower. */
    public function implies(self $other): bool
    {
        $same =
            count($this->effects) === count($other->effects) &&
            array_filter($this->effects, fn (Effect $e) => ! in_array($e, $other->effects, true)) === [];

        return $same &&
            $this->extent->value >= $other->extent->value &&
            $this->passes >= $other->passes &&
            ($other->by === null || ($this->by !== null && array_diff($this->by, $other->by) === []));
    }

    /** The same result, at another extent and in other passes, for one more reason. */
    public function simpler(Extent $extent, int $passes, Reason $because): self
    {
        $reasons = [...$this->reasons, $because];

        return new self($this->area, $reasons, $this->severity, $this->effects, $extent, $passes, $this->by);
    }

    /** @param  list<Reason>  $reasons */
    public function carrying(array $reasons, ?Severity $severity): self
    {
        $severity = self::graver($this->severity, $severity);

        return new self(
            $this->area,
            Reason::unique($reasons),
            $severity,
            $this->effects,
            $this->extent,
            $this->passes,
            $this->by,
        );
    }

    public function lessDone(int $done): ?self
    {
        return $done >= $this->passes
            ? null
            : new self(
                $this->area,
                $this->reasons,
                $this->severity,
                $this->effects,
                $this->extent,
                $this->passes - $done,
                $this->by,
            );
    }

    /** Effects are joined by {@see implies}, not by subject. */
    public function and(Requirement $other): static
    {
        throw new LogicException('Effects are absorbed, not joined.');
    }
}
