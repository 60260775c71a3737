<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\RequirementVisitor;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Standard;

/**
 * What a check makes of each kind of requirement.
 *
 * @implements RequirementVisitor<RequirementInCheck>
 */
final readonly class RequirementsInCheck implements RequirementVisitor
{
    public function __construct(private Standard $standard, private FaultTable $faults)
    {
    }

    public function steps(StepsRequirement $asked): RequirementInCheck
    {
        return new RequirementInCheck(
            Aspect::Tones,
            [FaultTable::MISSING, 'flat_area'],
            ["$asked->min-$asked->max"],
            isToBeThere: false,
        );
    }

    public function effect(EffectRequirement $asked): RequirementInCheck
    {
        return $this->ofEffects(
            $asked->effects,
            $asked->extent,
            $asked->passes,
            isTurning: $asked->effects === [Effect::Check],
        );
    }

    public function technique(TechniqueRequirement $asked): RequirementInCheck
    {
        $effects = array_map(Effect::from(...), array_keys($this->standard->technique($asked->technique)->effects));

        return $this->ofEffects($effects, $asked->extent, $asked->passes, isTurning: false);
    }

    public function finish(FinishRequirement $asked): RequirementInCheck
    {
        $isKnown = fn (string $key): bool => isset($this->faults->kinds[$key]);

        return new RequirementInCheck(
            Aspect::ofCriterion($asked->criterion),
            array_values(array_filter(self::notReached($asked->criterion), $isKnown)),
            [(string) $asked->limit],
            isToBeThere: false,
        );
    }

    public function model(ModelRequirement $asked): RequirementInCheck
    {
        return new RequirementInCheck(null, [], [], isToBeThere: false);
    }

    /** @param  list<Effect>  $effects */
    private function ofEffects(array $effects, Extent $extent, int $passes, bool $isTurning): RequirementInCheck
    {
        $can = fn (FaultKind $k): bool => array_filter($k->effects, fn (Effect $e) => in_array($e, $effects, true)) !==
            [];
        $own = array_keys(array_filter($this->faults->kinds, $can));

        return new RequirementInCheck(
            Aspect::ofEffect($effects[0] ?? Effect::BaseColour),
            $effects === [] ? $own : [FaultTable::MISSING, ...$own],
            [(string) $extent->value, (string) $passes],
            isToBeThere: true,
            isTurning: $isTurning,
        );
    }

    /** @return list<string> keys of what it is called when a finish is not reached */
    private static function notReached(Criterion $criterion): array
    {
        return match ($criterion) {
            Criterion::TonalSpan, Criterion::Tones, Criterion::LastLight => ['flat_area'],
            Criterion::LightFromAbove => ['light_from_below'],
            Criterion::LineShare => ['broken_line'],
            Criterion::BaseColour => ['wrong_paint', 'too_dark_or_bright'],
            Criterion::ColourDrift => ['colour_drift'],
            Criterion::HardStep => ['hard_step'],
            Criterion::BarePrimer => ['bare_primer', 'patchy_cover'],
            Criterion::LineWidth => ['wide_line'],
        };
    }
}
