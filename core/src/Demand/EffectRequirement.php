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
     * @param  list<int>  $there  extents that passes which are done already deliver, widest first
     */
    public function __construct(
        ?string $area,
        array $reasons,
        ?Severity $severity,
        public array $effects,
        public Extent $extent,
        public int $passes,
        public ?array $by,
        public array $there = [],
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

    /**
     * Passes that must reach an extent, by the extent, widest first: of p passes at extent e, for each j below p, j + 1
     * of them max(spot, e − j). What is there is taken off.
     *
     * @return array<int, int>
     */
    public function thresholds(): array
    {
        $asked = [];
        $most = 0;
        for ($extent = $this->extent->value; $extent >= Extent::Spot->value; $extent--) {
            $passes =
                $extent === Extent::Spot->value
                    ? $this->passes
                    : min($this->passes, $this->extent->value - $extent + 1);
            if ($passes > $most) {
                $most = $passes;
                $left = $passes - count(array_filter($this->there, fn (int $reached) => $reached >= $extent));
                $asked += $left > 0 ? [$extent => $left] : [];
            }
        }

        return $asked;
    }

    /**
     * How many of its passes are met in their turn by passes that deliver these extents.
     *
     * @param  list<int>  $delivered
     */
    public function passesMet(array $delivered): int
    {
        rsort($delivered);
        for ($met = 0; $met < min($this->passes, count($delivered)); $met++) {
            if ($delivered[$met] < max(Extent::Spot->value, $this->extent->value - $met)) {
                break;
            }
        }

        return $met;
    }

    /** The least extent at which a pass counts towards it. */
    public function leastExtent(): int
    {
        return max(Extent::Spot->value, $this->extent->value - $this->passes + 1);
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

    /**
     * What is left of it when some passes are done; null when nothing is.
     *
     * @param  list<int>  $delivered  extents they deliver of it
     */
    public function after(array $delivered): ?self
    {
        rsort($delivered);
        $left = new self(
            $this->area,
            $this->reasons,
            $this->severity,
            $this->effects,
            $this->extent,
            $this->passes,
            $this->by,
            $delivered,
        );

        return $left->thresholds() === [] ? null : $left;
    }

    /** Effects are joined by {@see implies}, not by subject. */
    public function and(Requirement $other): static
    {
        throw new LogicException('Effects are absorbed, not joined.');
    }
}
