<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;

/** Which techniques of a catalogue can be used where, whatever a tier says of them. */
final class FittingTechniques
{
    /** @var array<string, true> effects that only whole techniques give */
    private readonly array $wholeOnly;

    /** @var array<string, list<Technique>> by family */
    private readonly array $ofFamily;

    /** @var array<string, array<string, Technique>> what fits areas, by material, rank and relief, by its key */
    private array $fitting = [];

    public function __construct(private readonly Standard $standard)
    {
        $byArea = [];
        $byWhole = [];
        $ofFamily = [];
        foreach ($standard->techniques as $technique) {
            $ofFamily[$technique->family->value][] = $technique;
            foreach (array_keys($technique->effects) as $effect) {
                if ($technique->whole) {
                    $byWhole[$effect] = true;
                } else {
                    $byArea[$effect] = true;
                }
            }
        }
        $this->wholeOnly = array_diff_key($byWhole, $byArea);
        $this->ofFamily = $ofFamily;
    }

    /** Whether a technique can be used on an area at all. */
    public static function fits(Technique $technique, Area $area): bool
    {
        return ! $technique->whole &&
            $technique->retired !== true &&
            $technique->permitsMaterial($area->material) &&
            $technique->suit($area->relief) > 0 &&
            ! ($area->rank === Rank::Ground && $technique->has(Effect::BaseColour));
    }

    /** @return list<Technique> the whole catalogue */
    public function all(): array
    {
        return $this->standard->techniques;
    }

    /** @return list<Technique> */
    public function namedBy(TechniqueClause $clause): array
    {
        return $clause->technique === null
            ? $this->ofFamily[$clause->family->value ?? ''] ?? []
            : [$this->standard->technique($clause->technique)];
    }

    /** @return array<string, Technique> that fit an area, by key, in the order of the catalogue */
    public function on(Area $area): array
    {
        $relief = array_map(fn (Relief $r) => $r->value, $area->relief);
        $kind = implode(' ', [$area->material->value, $area->rank->value, ...$relief]);
        if (! isset($this->fitting[$kind])) {
            $this->fitting[$kind] = [];
            foreach ($this->standard->techniques as $technique) {
                if (self::fits($technique, $area)) {
                    $this->fitting[$kind][$technique->key] = $technique;
                }
            }
        }

        return $this->fitting[$kind];
    }

    /**
     * Whether it is given to the whole model alone.
     *
     * @param  list<Effect>  $effects
     */
    public function isOfWhole(array $effects): bool
    {
        foreach ($effects as $effect) {
            if (! isset($this->wholeOnly[$effect->value])) {
                return false;
            }
        }

        return true;
    }

    /** Why no technique of the catalogue can give this effect here; null when one can. */
    public function whyNot(EffectRequirement $effect, Area $area): ?Unfit
    {
        foreach ($this->on($area) as $technique) {
            if ($effect->isServedBy($technique)) {
                return null;
            }
        }
        $gives = array_filter($this->standard->techniques, fn (Technique $t) => $effect->isServedBy($t)) !== [];

        return $gives ? Unfit::NobodyGivesItHere : Unfit::NobodyGivesItSoWidely;
    }

    /** Why a technique cannot be used on an area; null when it can. */
    public function whyUnfit(Technique $technique, Area $area): ?Unfit
    {
        return match (true) {
            isset($this->on($area)[$technique->key]) => null,
            $technique->retired === true => Unfit::Retired,
            ! $technique->permitsMaterial($area->material) => Unfit::NotForMaterial,
            $technique->suit($area->relief) === 0 => Unfit::NotForRelief,
            default => Unfit::NoBaseOnGround,
        };
    }
}
