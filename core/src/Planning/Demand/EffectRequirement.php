<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use LogicException;
use Ordotype\Core\Standard\AskedEffect;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** A result that is asked for, whatever technique gives it, unless `by` narrows that. */
final readonly class EffectRequirement extends Requirement
{
    public AskedEffect $result;

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
        $this->result = new AskedEffect($effects, $extent, $passes, $by);
    }

    /** @param  list<Reason>  $reasons */
    public static function of(AskedEffect $result, ?string $area, array $reasons, ?Severity $severity): self
    {
        return new self(
            $area,
            $reasons,
            $severity,
            $result->effects,
            $result->extent,
            $result->passes,
            $result->by,
        );
    }

    public function kind(): RequirementKind
    {
        return RequirementKind::Effect;
    }

    public function subject(): string
    {
        return implode('|', array_map(fn (Effect $e) => $e->value, $this->effects));
    }

    /** The most extent at which a technique counts towards it; none where it does not count. */
    public function deliveredBy(Technique $technique): Extent
    {
        return $this->result->deliveredBy($technique);
    }

    /** Whether a technique, used widely enough, counts towards it. */
    public function isServedBy(Technique $technique): bool
    {
        return $this->result->isServedBy($technique);
    }

    /** @return array<int, int> passes that still must reach an extent, by the extent, as {@see AskedEffect} says */
    public function thresholds(): array
    {
        return $this->result->thresholds($this->there);
    }

    /** The least extent at which a pass counts towards it. */
    public function leastExtent(): int
    {
        return max(Extent::Spot->value, $this->extent->value - $this->passes + 1);
    }

    public function accept(RequirementVisitor $visitor): mixed
    {
        return $visitor->effect($this);
    }

    /** Effects are joined by what implies what, not by subject. */
    public function and(Requirement $other): static
    {
        throw new LogicException('Effects are absorbed, not joined.');
    }

    public function trendFrom(Requirement $was): ?Trend
    {
        return $was instanceof self
            ? self::trend($this->result->implies($was->result), $was->result->implies($this->result))
            : Trend::Changed;
    }

    public function least(): int
    {
        return $this->passes;
    }

    public function most(): ?int
    {
        return null;
    }

    /** How many of its passes are met in their turn by what is used. */
    public function has(array $used): int
    {
        $delivered = $this->delivered($used);
        rsort($delivered);
        for ($met = 0; $met < min($this->passes, count($delivered)); $met++) {
            if ($delivered[$met] < max(Extent::Spot->value, $this->extent->value - $met)) {
                break;
            }
        }

        return $met;
    }

    public function left(array $done): ?static
    {
        $delivered = $this->delivered($done);
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

    public function isHelpedBy(UsedTechnique $used, array $all): bool
    {
        return min($used->extent->value, $this->deliveredBy($used->technique)->value) >= $this->leastExtent();
    }

    public function isGivenBy(Technique $technique): bool
    {
        return $this->deliveredBy($technique) !== Extent::None;
    }

    public function choiceKey(): string
    {
        return "{$this->subject()} {$this->extent->value} $this->passes ".
            implode(',', $this->by ?? ['*']).
            implode(',', $this->there);
    }

    /** One extent less and in one pass less, but never below one; a spot is left out. */
    public function simpler(Reason $because): ?static
    {
        return $this->extent->value <= Extent::Spot->value
            ? null
            : new self(
                $this->area,
                [...$this->reasons, $because],
                $this->severity,
                $this->effects,
                $this->extent->narrower(1),
                max(1, $this->passes - 1),
                $this->by,
            );
    }

    /** What implies another carries its reasons, too. */
    protected function joinedTo(array $joined, int $place): array
    {
        foreach ($joined as $slot => $kept) {
            if ($kept instanceof self && $kept->result->implies($this->result)) {
                $joined[$slot] = $kept->carrying([...$kept->reasons, ...$this->reasons], $this->severity);

                return $joined;
            }
        }
        $first = null;
        $one = $this;
        foreach ($joined as $slot => $kept) {
            if ($kept instanceof self && $one->result->implies($kept->result)) {
                $one = $one->carrying([...$kept->reasons, ...$one->reasons], $kept->severity);
                if ($first === null) {
                    $first = $slot;
                } else {
                    unset($joined[$slot]);
                }
            }
        }
        $joined[$first ?? $place] = $one;

        return $joined;
    }

    /** @param  list<Reason>  $reasons */
    private function carrying(array $reasons, ?Severity $severity): self
    {
        return self::of($this->result, $this->area, Reason::unique($reasons), self::graver($this->severity, $severity));
    }

    /**
     * The extents that passes deliver of it: the smaller of the pass's own and the most the technique gives.
     *
     * @param  list<UsedTechnique>  $used
     * @return list<int>
     */
    private function delivered(array $used): array
    {
        $delivered = [];
        foreach ($used as $one) {
            $most = $this->deliveredBy($one->technique)->value;
            for ($pass = 1; $most > 0 && $pass <= $one->passes; $pass++) {
                $delivered[] = min($most, $one->extentOf($pass)->value);
            }
        }

        return $delivered;
    }
}
