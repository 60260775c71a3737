<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

use Ordotype\Core\Foundation\Polygon;

/**
 * What is odd about a sculpt's map, beyond what its format refuses: outlines that are missing, hidden, crossing
 * themselves or at odds with shares, facing and touches. Nothing of it stops anyone.
 */
final readonly class MapCheck
{
    /** Outlines closer than this many mm are taken to touch; ones further apart than FAR not to (house defaults). */
    private const NEAR = 0.6;

    private const FAR = 4.0;

    /** A share that is this many times more or less than the outlines show is worth a look (house default). */
    private const SHARE = 2.5;

    private OutlinedSurface $surface;

    public function __construct(private Sculpt $sculpt)
    {
        $this->surface = new OutlinedSurface($sculpt);
    }

    /** @return list<MapFinding> in the order of the areas */
    public function findings(): array
    {
        $anyOutline = array_filter($this->sculpt->areas, fn (Area $a) => $a->outline !== []) !== [];
        $findings = $anyOutline ? [] : [new MapFinding(MapOddity::NoOutlines)];
        $shares = $this->surface->shares();
        foreach ($this->sculpt->areas as $area) {
            if ($anyOutline) {
                array_push($findings, ...$this->ofOutline($area, $shares[$area->key]));
            }
            if ($area->surround !== null && ! $this->sculpt->touch($area->key, $area->surround)) {
                $findings[] = new MapFinding(MapOddity::SurroundApart, $area, [$this->sculpt->area($area->surround)]);
            }
            if ($area->rank === Rank::Detail && $area->sharePct > 10) {
                $findings[] = new MapFinding(MapOddity::LargeDetail, $area);
            }
        }
        if (array_filter($this->sculpt->areas, fn (Area $a) => $a->rank === Rank::Main) === []) {
            $findings[] = new MapFinding(MapOddity::NoMain);
        }

        return [...$findings, ...$anyOutline ? $this->ofTouches() : []];
    }

    /** @return list<MapFinding> */
    private function ofOutline(Area $area, float $share): array
    {
        $findings = [];
        foreach (View::outlined() as $view) {
            foreach ($area->outline[$view] ?? [] as $i => $ring) {
                if (count($ring) < 3) {
                    $findings[] = new MapFinding(MapOddity::TooFewPoints, $area, ring: $i + 1, view: $view);
                } elseif (Polygon::crossesItself($ring)) {
                    $findings[] = new MapFinding(MapOddity::CrossesItself, $area, ring: $i + 1, view: $view);
                }
            }
            if (($area->outline[$view] ?? []) !== [] && $this->surface->mm2($area->key, $view) === 0.0) {
                $findings[] = new MapFinding(MapOddity::Hidden, $area, view: $view);
            }
        }
        if (! $this->surface->isOutlined($area->key)) {
            return [...$findings, new MapFinding(MapOddity::NotOutlined, $area)];
        }
        $wrong = match ($area->facing) {
            Facing::Front => ($area->outline['back'] ?? []) !== [] && ($area->outline['front'] ?? []) === [],
            Facing::Back => ($area->outline['front'] ?? []) !== [] && ($area->outline['back'] ?? []) === [],
            Facing::Both, Facing::Under => false,
        };
        if ($wrong) {
            $findings[] = new MapFinding(MapOddity::Facing, $area);
        }
        if ($share > self::SHARE * $area->sharePct || $area->sharePct > self::SHARE * $share) {
            $findings[] = new MapFinding(MapOddity::Share, $area, figure: $share);
        }

        return $findings;
    }

    /** @return list<MapFinding> */
    private function ofTouches(): array
    {
        $findings = [];
        foreach ($this->sculpt->areas as $i => $one) {
            $unsaid = [];
            foreach (array_slice($this->sculpt->areas, $i + 1) as $other) {
                $gap = $this->gap($one, $other);
                $said = $this->sculpt->touch($one->key, $other->key);
                if ($gap !== null && $gap < self::NEAR && ! $said && $one->part === $other->part) {
                    $unsaid[] = $other;
                } elseif ($gap !== null && $gap > self::FAR && $said) {
                    $findings[] = new MapFinding(MapOddity::TouchesApart, $one, [$other], figure: $gap);
                }
                foreach ($one->layer === $other->layer ? View::outlined() : [] as $view) {
                    if ($this->surface->common($one->key, $other->key, $view) > 1.0) {
                        $findings[] = new MapFinding(MapOddity::SameLayer, $one, [$other], view: $view);
                    }
                }
            }
            if ($unsaid !== []) {
                $findings[] = new MapFinding(MapOddity::TouchesUnsaid, $one, $unsaid);
            }
        }

        return $findings;
    }

    /** The least distance of two outlines in any view, in mm; null where no view has both. */
    private function gap(Area $one, Area $other): ?float
    {
        [$width, $height] = $this->sculpt->frameMm ?? [60.0, 80.0];
        $least = null;
        foreach (View::outlined() as $view) {
            foreach ($one->outline[$view] ?? [] as $ring) {
                foreach ($other->outline[$view] ?? [] as $with) {
                    $gap = min(
                        Polygon::distance($ring, $with, $width, $height),
                        Polygon::distance($with, $ring, $width, $height),
                    );
                    if (
                        Polygon::contains($with, $ring[0] ?? [-1.0, -1.0]) ||
                        Polygon::contains($ring, $with[0] ?? [-1.0, -1.0])
                    ) {
                        $gap = 0.0;
                    }
                    $least = $least === null ? $gap : min($least, $gap);
                }
            }
        }

        return $least;
    }
}
