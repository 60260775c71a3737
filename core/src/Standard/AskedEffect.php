<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** A result that is asked for, so widely and in so many passes, whatever technique gives it; `by` narrows that. */
final readonly class AskedEffect
{
    /**
     * @param  list<Effect>  $effects  any of them counts
     * @param  list<string>|null  $by  keys of techniques; null: any
     */
    public function __construct(
        public array $effects,
        public Extent $extent,
        public int $passes,
        public ?array $by,
    ) {
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

    /**
     * Passes that must reach an extent, by the extent, widest first: of p passes at extent e, for each j below p, j + 1
     * of them max(spot, e − j). What is there is taken off.
     *
     * @param  list<int>  $there  extents that passes which are done already deliver
     * @return array<int, int>
     */
    public function thresholds(array $there = []): array
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
                $left = $passes - count(array_filter($there, fn (int $reached) => $reached >= $extent));
                $asked += $left > 0 ? [$extent => $left] : [];
            }
        }

        return $asked;
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
}
