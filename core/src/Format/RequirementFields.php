<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\RequirementVisitor;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Extent;

/**
 * How much each kind of requirement asks, as plans hold it.
 *
 * @implements RequirementVisitor<array<string, mixed>>
 */
final readonly class RequirementFields implements RequirementVisitor
{
    public function steps(StepsRequirement $asked): array
    {
        return self::range($asked->min, $asked->max);
    }

    public function effect(EffectRequirement $asked): array
    {
        return self::passes($asked->extent, $asked->passes, $asked->by);
    }

    public function technique(TechniqueRequirement $asked): array
    {
        return self::passes($asked->extent, $asked->passes, null);
    }

    public function finish(FinishRequirement $asked): array
    {
        return $asked->criterion->isFloor() ? self::range($asked->limit, null) : self::range(null, $asked->limit);
    }

    public function model(ModelRequirement $asked): array
    {
        return self::range($asked->min, $asked->max);
    }

    /**
     * @param  list<string>|null  $by
     * @return array<string, mixed>
     */
    private static function passes(Extent $extent, int $passes, ?array $by): array
    {
        return ['extent' => $extent->word(), 'passes' => $passes, 'by' => $by, 'limit' => null];
    }

    /** @return array<string, mixed> */
    private static function range(int|float|null $min, int|float|null $max): array
    {
        $decimal = fn (int|float|null $n): ?float => $n === null ? null : (float) $n;

        return [
            'extent' => null,
            'passes' => null,
            'by' => null,
            'limit' => $min === null && $max === null
                ? null
                : (object) ['min' => $decimal($min), 'max' => $decimal($max)],
        ];
    }
}
