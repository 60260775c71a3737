<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\RequirementKind;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/** A requirement laid open, whatever its kind, for checkers that read the definition by themselves. */
final readonly class Asked
{
    /**
     * @param  list<string>  $clauses
     * @param  list<Effect>  $effects
     * @param  list<string>|null  $by
     */
    private function __construct(
        public ?string $area,
        public RequirementKind $kind,
        public array $clauses,
        public array $effects,
        public ?string $technique,
        public Extent $extent,
        public int $passes,
        public ?array $by,
        public ?float $min,
        public ?float $max,
    ) {
    }

    public static function of(Requirement $r): self
    {
        $chosen = $r instanceof EffectRequirement || $r instanceof TechniqueRequirement;
        $ranged = $r instanceof StepsRequirement || $r instanceof ModelRequirement;

        return new self(
            $r->area,
            $r->kind(),
            Reason::ids($r->reasons),
            $r instanceof EffectRequirement ? $r->effects : [],
            $r instanceof TechniqueRequirement ? $r->technique : null,
            $chosen ? $r->extent : Extent::None,
            $chosen ? $r->passes : 0,
            $r instanceof EffectRequirement ? $r->by : null,
            match (true) {
                $ranged => $r->min,
                $r instanceof FinishRequirement && $r->criterion->isFloor() => $r->limit,
                default => null,
            },
            match (true) {
                $ranged => $r->max,
                $r instanceof FinishRequirement && ! $r->criterion->isFloor() => $r->limit,
                default => null,
            },
        );
    }

    /**
     * @param  list<Requirement>  $requirements
     * @return list<self>
     */
    public static function all(array $requirements): array
    {
        return array_map(self::of(...), $requirements);
    }

    /** The most extent at which a technique gives one of the effects asked for. */
    public function deliveredBy(Technique $technique): Extent
    {
        $most = 0;
        foreach ($this->by === null || in_array($technique->key, $this->by, true) ? $this->effects : [] as $effect) {
            $most = max($most, ($technique->effects[$effect->value] ?? Extent::None)->value);
        }

        return Extent::from($most);
    }

    /** The least that meets it: passes, or colour steps. */
    public function least(): int
    {
        return $this->kind === RequirementKind::Steps ? (int) $this->min : $this->passes;
    }

    /**
     * What work adds up to of it. Credit and a technique that is asked for by name go by the extent of the first pass.
     * Of an effect the passes count that are met in their turn: for each j, j + 1 delivered passes reach
     * max(spot, e − j).
     *
     * @param  list<array{Technique, Extent, int}>  $uses  technique, extent of its first pass, passes
     */
    public function met(array $uses): int
    {
        $have = 0;
        $delivered = [];
        foreach ($uses as [$technique, $extent, $passes]) {
            for ($k = 0; $k < $passes; $k++) {
                $own = $technique->taper === true ? max(1, $extent->value - $k) : $extent->value;
                $delivered[] = min($own, $this->deliveredBy($technique)->value);
            }
            $have += match ($this->kind) {
                RequirementKind::Steps => $extent->value >= 2 ? $technique->credit * $passes : 0,
                RequirementKind::Technique => $technique->key === $this->technique &&
                $extent->value >= $this->extent->value
                    ? $passes
                    : 0,
                default => 0,
            };
        }
        if ($this->kind !== RequirementKind::Effect) {
            return $have;
        }
        for ($j = 0; $j < $this->passes; $j++) {
            $least = max(1, $this->extent->value - $j);
            if (count(array_filter($delivered, fn (int $d) => $d >= $least)) < $j + 1) {
                return $j;
            }
        }

        return $this->passes;
    }

    /**
     * @param  list<ChosenTechnique>  $used
     * @return list<array{Technique, Extent, int}>
     */
    public static function uses(array $used): array
    {
        return array_map(fn (ChosenTechnique $u) => [$u->technique, $u->extent, $u->passes], $used);
    }

    /**
     * @param  list<Step>  $steps  of one area
     * @return list<array{Technique, Extent, int}>
     */
    public static function usesOf(array $steps): array
    {
        $uses = [];
        foreach ($steps as $step) {
            [, $first, $passes] = $uses[$step->technique->key] ?? [null, $step->extent, 0];
            $first = $first->value > $step->extent->value ? $first : $step->extent;
            $uses[$step->technique->key] = [$step->technique, $first, $passes + 1];
        }

        return array_values($uses);
    }
}
