<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Technique;

/**
 * Decides which colours are sprayed where a tier says how many: the main ones first, then those that save time. What
 * is kept apart needs no masking.
 */
final readonly class SprayPlanner
{
    public function __construct(private PlanRequest $request, private Sculpt $bench)
    {
    }

    /**
     * @param  array<string, SprayOption>  $options  by key of an area that can be sprayed
     * @return list<SprayedColour> in the order they are sprayed
     */
    public function choose(array $options, int $min, ?int $max, Technique $spray, ?Technique $masking): array
    {
        $sprayed = [];
        $painted = [];
        foreach ($this->groups(array_keys($options)) as $areas) {
            if ($max !== null && count($sprayed) >= $max) {
                break;
            }
            $masked = $this->toMask($areas, $painted);
            $minutes = $masking === null ? 0.0 : $this->maskingMinutes($masking, $masked);
            $change = $minutes + $spray->setup / $this->request->pieces;
            foreach ($areas as $area) {
                $way = $options[$area->key];
                $change += ($way->sprayed->minutes() ?? 0.0) - ($way->brushed->minutes() ?? INF);
            }
            if (count($sprayed) >= $min && $change >= 0) {
                break;
            }
            $sprayed[] = new SprayedColour($areas, $masked, $minutes, max(0.0, $change * $this->request->pieces));
            array_push($painted, ...$areas);
        }

        return $sprayed;
    }

    /**
     * @param  array<string>  $keys
     * @return array<string, non-empty-list<Area>> areas of one base colour and part each; without a scheme each by
     *     itself
     */
    public function byColour(array $keys): array
    {
        $groups = [];
        foreach ($this->request->sculpt->areas as $area) {
            if (in_array($area->key, $keys, true)) {
                $base = $this->request->scheme?->for($area)?->base;
                // What is kept apart is sprayed apart, and a detail is not sprayed because it shares a paint.
                $with = $this->bench->area($area->key)->part.($area->rank === Rank::Detail ? ' detail' : '');
                $groups[$base === null ? "area $area->key" : "paint {$base->words()} $with"][] = $area;
            }
        }

        return array_filter(array_map($this->withTheirRings(...), $groups));
    }

    /**
     * An area with a surround is sprayed only where that is sprayed in the same colour.
     *
     * @param  list<Area>  $group
     * @return list<Area>
     */
    private function withTheirRings(array $group): array
    {
        do {
            $before = count($group);
            $keys = array_map(fn (Area $a) => $a->key, $group);
            $group = array_values(
                array_filter($group, fn (Area $a) => $a->surround === null || in_array($a->surround, $keys, true)),
            );
        } while (count($group) < $before);

        return $group;
    }

    /**
     * Areas of one base colour, those groups that hold a main area, by the main areas' share, then area order.
     *
     * @param  array<string>  $keys
     * @return list<non-empty-list<Area>>
     */
    public function groups(array $keys): array
    {
        $groups = $this->byColour($keys);
        $withMain = array_values(
            array_filter(
                $groups,
                fn (array $areas) => in_array(Rank::Main, array_map(fn (Area $a) => $a->rank, $areas), true),
            ),
        );
        usort($withMain, fn (array $a, array $b) => self::mainShare($b) <=> self::mainShare($a));

        return $withMain;
    }

    /** @param  list<Area>  $areas */
    private static function mainShare(array $areas): float
    {
        return array_sum(array_map(fn (Area $a) => $a->rank === Rank::Main ? $a->sharePct : 0.0, $areas));
    }

    /**
     * @param  list<Area>  $areas
     * @param  list<Area>  $painted
     * @return list<Area>
     */
    public function toMask(array $areas, array $painted): array
    {
        $masked = [];
        foreach ($painted as $done) {
            foreach ($areas as $area) {
                if ($this->bench->touchAtWork($done->key, $area->key)) {
                    $masked[$done->key] = $done;
                }
            }
        }

        return array_values($masked);
    }

    /** @param  list<Area>  $masked */
    public function maskingMinutes(Technique $masking, array $masked): float
    {
        $cm2 = array_sum(array_map(fn (Area $a) => $this->request->sculpt->areaCm2($a), $masked));

        return (($masking->hand * $cm2) / 10) * $this->request->tier->pace->timeFactor();
    }
}
