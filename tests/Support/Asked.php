<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\ModelRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
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
}
