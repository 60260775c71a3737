<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/**
 * What a tier asks of one area, or of the whole model where `area` is null, with the clauses that ask it.
 *
 * Which fields mean something depends on the kind: effects, extent, passes and by for effects; technique, extent and
 * passes for required techniques; min and max for steps, sprayed colours (max null: open), minutes and skill;
 * criterion
 * and min or max for finish, whichever way the criterion runs.
 */
final readonly class Requirement
{
    /**
     * @param  list<string>  $clauses  ids of the clauses, and of the amendments that changed them
     * @param  list<Effect>  $effects  any of them counts
     * @param  list<string>|null  $by  keys of techniques; null: any
     */
    private function __construct(
        public ?string $area,
        public RequirementKind $kind,
        public array $clauses,
        public ?Severity $severity = null,
        public array $effects = [],
        public ?string $technique = null,
        public Extent $extent = Extent::None,
        public int $passes = 0,
        public ?array $by = null,
        public ?float $min = null,
        public ?float $max = null,
        public ?Criterion $criterion = null,
    ) {
    }

    /** @param  list<string>  $clauses */
    public static function steps(?string $area, array $clauses, ?Severity $severity, int $min, ?int $max): self
    {
        return new self($area, RequirementKind::Steps, $clauses, $severity, min: $min, max: $max);
    }

    /**
     * @param  list<string>  $clauses
     * @param  list<Effect>  $effects
     * @param  list<string>|null  $by
     */
    public static function effect(
        ?string $area,
        array $clauses,
        ?Severity $severity,
        array $effects,
        Extent $extent,
        int $passes,
        ?array $by,
    ): self {
        return new self(
            $area,
            RequirementKind::Effect,
            $clauses,
            $severity,
            $effects,
            extent: $extent,
            passes: $passes,
            by: $by,
        );
    }

    /** @param  list<string>  $clauses */
    public static function technique(
        ?string $area,
        array $clauses,
        ?Severity $severity,
        string $technique,
        Extent $extent,
        int $passes,
    ): self {
        return new self(
            $area,
            RequirementKind::Technique,
            $clauses,
            $severity,
            technique: $technique,
            extent: $extent,
            passes: $passes,
        );
    }

    /** @param  list<string>  $clauses */
    public static function finish(
        string $area,
        array $clauses,
        ?Severity $severity,
        Criterion $criterion,
        float $limit,
    ): self {
        $least = self::isLeast($criterion);

        return new self(
            $area,
            RequirementKind::Finish,
            $clauses,
            $severity,
            min: $least ? $limit : null,
            max: $least ? null : $limit,
            criterion: $criterion,
        );
    }

    /** @param  list<string>  $clauses */
    public static function ofModel(
        RequirementKind $kind,
        array $clauses,
        ?Severity $severity,
        ?float $min,
        ?float $max,
    ): self {
        return new self(null, $kind, $clauses, $severity, min: $min, max: $max);
    }

    /** What is asked for, in the words of the formats. */
    public function subject(): string
    {
        return match ($this->kind) {
            RequirementKind::Effect => implode('|', array_map(fn (Effect $e) => $e->value, $this->effects)),
            RequirementKind::Technique => (string) $this->technique,
            RequirementKind::Finish => $this->criterion === null ? '' : $this->criterion->value,
            RequirementKind::Steps => 'colour_steps',
            default => $this->kind->value,
        };
    }

    /**
     * The most extent at which a technique counts towards an effect requirement; none where it does not count.
     */
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

    /** Whether a technique, used widely enough, counts towards an effect requirement. */
    public function isServedBy(Technique $technique): bool
    {
        return $this->deliveredBy($technique)->value >= $this->extent->value;
    }

    /**
     * Joins what single clauses ask of one area: steps to the highest floor and the lowest ceiling, effects by
     * absorption, required techniques to the larger passes and extent, finish to the stricter limit.
     *
     * @param  list<self>  $asked  in clause order
     * @return list<self>
     */
    public static function join(array $asked): array
    {
        /** @var array<int|string, self> $joined */
        $joined = [];
        foreach ($asked as $place => $one) {
            if ($one->kind === RequirementKind::Effect) {
                self::absorb($joined, $place, $one);

                continue;
            }
            $slot = $one->kind->value.' '.$one->subject();
            $joined[$slot] = isset($joined[$slot]) ? $joined[$slot]->and($one) : $one;
        }

        return array_values($joined);
    }

    /**
     * What is left of it when so much is done; null when nothing is. For effects and techniques passes, for steps
     * credits.
     */
    public function lessDone(int $done): ?self
    {
        if ($this->kind === RequirementKind::Steps) {
            return self::steps(
                $this->area,
                $this->clauses,
                $this->severity,
                max(0, (int) $this->min - $done),
                $this->max === null ? null : max(0, (int) $this->max - $done),
            );
        }
        $left = $this->passes - $done;

        return $left <= 0
            ? null
            : new self(
                $this->area,
                $this->kind,
                $this->clauses,
                $this->severity,
                $this->effects,
                $this->technique,
                $this->extent,
                $left,
                $this->by,
                $this->min,
                $this->max,
                $this->criterion,
            );
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

    /** @param  array<int|string, self>  $joined */
    private static function absorb(array &$joined, int $place, self $one): void
    {
        foreach ($joined as $slot => $kept) {
            if ($kept->kind === RequirementKind::Effect && $kept->implies($one)) {
                $joined[$slot] = $kept->carrying($kept->clauses, $one->clauses, $one->severity);

                return;
            }
        }
        $first = null;
        foreach ($joined as $slot => $kept) {
            if ($kept->kind === RequirementKind::Effect && $one->implies($kept)) {
                $one = $one->carrying($kept->clauses, $one->clauses, $kept->severity);
                if ($first === null) {
                    $first = $slot;
                } else {
                    unset($joined[$slot]);
                }
            }
        }
        $joined[$first ?? $place] = $one;
    }

    private function and(self $other): self
    {
        return new self(
            $this->area,
            $this->kind,
            self::ids($this->clauses, $other->clauses),
            self::graver($this->severity, $other->severity),
            $this->effects,
            $this->technique,
            $this->extent->value >= $other->extent->value ? $this->extent : $other->extent,
            max($this->passes, $other->passes),
            $this->by,
            $this->min === null || $other->min === null ? $this->min ?? $other->min : max($this->min, $other->min),
            $this->max === null || $other->max === null ? $this->max ?? $other->max : min($this->max, $other->max),
            $this->criterion,
        );
    }

    /**
     * @param  list<string>  $first
     * @param  list<string>  $then
     */
    private function carrying(array $first, array $then, ?Severity $severity): self
    {
        return new self(
            $this->area,
            $this->kind,
            self::ids($first, $then),
            self::graver($this->severity, $severity),
            $this->effects,
            $this->technique,
            $this->extent,
            $this->passes,
            $this->by,
            $this->min,
            $this->max,
            $this->criterion,
        );
    }

    /**
     * @param  list<string>  $first
     * @param  list<string>  $then
     * @return list<string>
     */
    private static function ids(array $first, array $then): array
    {
        return array_values(array_unique([...$first, ...$then]));
    }

    private static function graver(?Severity $one, ?Severity $other): ?Severity
    {
        foreach (Severity::cases() as $severity) {
            if ($one === $severity || $other === $severity) {
                return $severity;
            }
        }

        return null;
    }

    private static function isLeast(Criterion $criterion): bool
    {
        return match ($criterion) {
            Criterion::TonalSpan,
            Criterion::Tones,
            Criterion::LightFromAbove,
            Criterion::LineShare,
            Criterion::LastLight => true,
            Criterion::BaseColour,
            Criterion::ColourDrift,
            Criterion::HardStep,
            Criterion::BarePrimer,
            Criterion::LineWidth => false,
        };
    }
}
