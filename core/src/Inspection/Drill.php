<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Picture\Booth\Faults;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;

/**
 * Drawn pictures of one plan to train the eye on: some are as they should be, most have one fault, from too small to
 * count at the tier to plain. The same number gives the same pictures, so that people can be compared.
 */
final readonly class Drill
{
    public const PICTURES = 8;

    /** Of four pictures, one is clean. */
    private const CLEAN = 0.25;

    /** Sizes that are planted, in sizes from which they are noticed. */
    private const FROM = 0.4;

    private const TO = 6.0;

    /** ΔE00 of a drift that is planted, from nobody sees it to plain (common practice, no source). */
    private const DRIFT = 12.0;

    public function __construct(private Plan $plan, private FaultTable $faults)
    {
    }

    /** @return list<DrillPicture> */
    public function pictures(int $number): array
    {
        $dice = new Dice($number);
        $pictures = [];
        for ($i = 0; $i < self::PICTURES; $i++) {
            $seed = $dice->roll();
            $spots = $dice->share() < self::CLEAN ? [] : $this->spots();
            $picture = new DrillPicture($seed, null, null, null, false);
            if ($spots !== []) {
                $kinds = array_keys($spots);
                $kind = $this->faults->kind($kinds[$dice->roll() % count($kinds)]);
                $areas = $spots[$kind->key];
                $picture = $this->planted($seed, $kind, $areas[$dice->roll() % count($areas)], $dice);
            }
            $pictures[] = $picture;
        }

        return $pictures;
    }

    private function planted(int $seed, FaultKind $kind, Area $area, Dice $dice): DrillPicture
    {
        $request = $this->plan->request;
        $viewing = $request->tier->viewing;
        $size = match (true) {
            $kind->key === 'colour_drift' => $dice->between(1.0, self::DRIFT),
            $kind->bySize => NoticingSize::mm($viewing->distanceCm, $viewing->angleArcmin) *
                $dice->between(self::FROM, self::TO),
            default => null,
        };
        $judged = Judgement::of(
            $kind,
            $request->tier,
            $request->sculpt,
            $area,
            $request->method,
            null,
            Spread::Patch,
            $kind->bySize ? $size : null,
            FaultContrast::of($kind, $area, $request),
        );

        return new DrillPicture(
            $seed,
            $kind->key,
            $area->key,
            $size === null ? null : round($size, 3),
            $judged->severity !== null,
        );
    }

    /** @return array<string, non-empty-list<Area>> by the kinds that are drawn: where each can be, from the front */
    private function spots(): array
    {
        $there = new FaultsThere($this->plan, $this->faults);
        $spots = [];
        foreach ($this->plan->request->sculpt->areas as $area) {
            $isSeen = $area->view() === View::Front && ($area->outline['front'] ?? []) !== [];
            foreach ($isSeen ? $there->on($area) : [] as $kind) {
                if (in_array($kind->key, Faults::DRAWN, true)) {
                    $spots[$kind->key][] = $area;
                }
            }
        }

        return $spots;
    }
}
