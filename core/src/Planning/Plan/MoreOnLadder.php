<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\ClausesInForce;
use Ordotype\Core\Planning\Demand\DemandResolver;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/**
 * What more looks like on a figure: what the higher offered rungs do on its areas, after what they take from others
 * and
 * without amendments; on the highest rung, what it does itself.
 */
final class MoreOnLadder
{
    private const LEAST_SUIT = 2;

    /** @var list<DemandResolver>|null of each rung that shows what more is */
    private ?array $rungs = null;

    /** @var array<string, list<AreaDemand>> by area */
    private array $demands = [];

    public function __construct(private readonly PlanRequest $request)
    {
    }

    public function has(Technique $technique, Area $area): bool
    {
        if ($technique->suit($area->relief) < self::LEAST_SUIT || ! $this->isSeemly($technique, $area)) {
            return false;
        }
        foreach ($this->demands[$area->key] ??= $this->demandsOn($area) as $demand) {
            $isNamed = $demand->allowed[$technique->key] ?? null;
            if ($isNamed === true || ($isNamed === false && $area->rank !== Rank::Ground)) {
                return true;
            }
            foreach ($demand->of(EffectRequirement::class) as $asked) {
                if ($asked->isServedBy($technique)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isSeemly(Technique $technique, Area $area): bool
    {
        if (
            $technique->givesAny(Effect::HighlightEdge, Effect::Texture) &&
            $area->material->isSmooth()
        ) {
            return false;
        }
        if (! $technique->has(Effect::Glow) || $area->material === Material::Glow) {
            return true;
        }
        foreach ($this->request->sculpt->areas as $other) {
            $touches = in_array($other->key, $area->touches, true) || in_array($area->key, $other->touches, true);
            if ($touches && $other->material === Material::Glow) {
                return true;
            }
        }

        return false;
    }

    /** @return list<AreaDemand> */
    private function demandsOn(Area $area): array
    {
        $this->rungs ??= array_map(
            fn (Tier $t) => new DemandResolver(
                $this->request->standard,
                ClausesInForce::of($this->request->standard, $t, []),
                $this->request->sculpt,
            ),
            $this->rungsAbove(),
        );

        return array_map(fn (DemandResolver $r) => $r->ofArea($area), $this->rungs);
    }

    /** @return list<Tier> the rung itself where none is higher */
    private function rungsAbove(): array
    {
        $tier = $this->request->tier;
        $higher = array_filter(
            $this->request->standard->tiers,
            fn (Tier $t) => $t->status === TierStatus::Offered && $t->order > $tier->order,
        );

        return $higher === [] ? [$tier] : array_values($higher);
    }
}
