<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** A technique that may be used on an area, with what a pass of it takes there. */
final readonly class Candidate
{
    private const SUIT_FACTOR = [1 => 1.6, 2 => 1.25, 3 => 1.0];

    /**
     * @param  int  $index  place in the catalogue
     * @param  array{0: float, 1: float, 2: float, 3: float}  $minutes  of one pass, by extent
     * @param  int|null  $grade  on the area; null where the family is not graded
     * @param  list<Effect>  $needs
     * @param  int  $suit  1 to 3, as in {@see Technique::suit}; 0 for whole techniques
     * @param  bool  $needsWash  whether it goes into a wash or stain that is still wet, so that there must be one
     */
    public function __construct(
        public Technique $technique,
        public int $index,
        public array $minutes,
        public ?int $grade,
        public array $needs,
        public bool $needsWash = false,
        public int $suit = 0,
    ) {
    }

    /**
     * Minutes of one pass: (handling + hand × coats × cm²/10 × suit × extent × size × cast) × access × pace
     * + per_piece × count × counted_pace.
     */
    public static function onArea(
        Technique $technique,
        int $index,
        Area $area,
        Sculpt $sculpt,
        Pace $pace,
        MethodOnModel $method,
    ): self {
        $suit = max(1, $technique->suit($area->relief));
        $size = ! $technique->big
            ? 1.0
            : $sculpt->size->timeFactor();
        $cast = $technique->mess === 0 ? $sculpt->definition()->timeFactor() : 1.0;
        $hand =
            (($technique->hand * $method->coats($technique, $area) * $sculpt->areaCm2($area)) / 10) *
            self::SUIT_FACTOR[$suit] *
            $size *
            $cast;
        $minutes = [0.0, 0.0, 0.0, 0.0];
        $paced = $pace->timeFactor();
        foreach ([Extent::Spot, Extent::Prominent, Extent::Full] as $extent) {
            $factor = $extent->timeFactor() * $method->timeFactor($technique, $area, $extent);
            $minutes[$extent->value] =
                ($technique->handling + $hand * $factor) * $area->access * $paced +
                $technique->perPiece * $area->count * $pace->countedFactor();
        }

        return new self(
            $technique,
            $index,
            $minutes,
            self::gradeOn($technique, $suit),
            $method->needs($technique, $area),
            $method->goesIntoWash($technique, $area),
            $suit,
        );
    }

    /**
     * How clean a finish it gives there: its grade, one better where it is made for the relief, one worse where only
     * possible.
     */
    public static function gradeOn(Technique $technique, int $suit): ?int
    {
        if ($technique->grade === null || ! $technique->family->isGraded()) {
            return null;
        }
        $better = match ($suit) {
            3 => 1,
            1 => -1,
            default => 0,
        };

        return max(1, min(5, $technique->grade + $better));
    }

    /**
     * Minutes on the whole model: hand × coats × cm²/10 + per_piece × times, times the pace for preparation only; what
     * is looked at for its own sake takes its per_piece by pace and size, or what the tier says.
     */
    public static function onModel(
        Technique $technique,
        int $index,
        Sculpt $sculpt,
        Pace $pace,
        int $times = 1,
        ?float $said = null,
    ): self {
        $look = $technique->family === Family::Check ? $pace->lookFactor() * $sculpt->size->lookFactor() : 1.0;
        $minutes = $said ??
            $look *
            (($technique->hand * $technique->coats * $sculpt->surfaceCm2) / 10 + $technique->perPiece * $times) *
            ($technique->family === Family::Prepare ? $pace->timeFactor() : 1.0);

        return new self($technique, $index, [0.0, $minutes, $minutes, $minutes], null, $technique->needs);
    }

    /** A wash or a stain: something can go into it while it is wet. */
    public function isWash(): bool
    {
        return $this->technique->tidied && $this->technique->has(Effect::Shade);
    }

    public function isBase(): bool
    {
        return $this->technique->has(Effect::BaseColour);
    }

    /** Bases, underlays and the tidying of a base are done on the whole area or not at all. */
    public function isAlwaysFull(): bool
    {
        return $this->technique->whole ||
            $this->isBase() ||
            $this->technique->has(Effect::Underlay) ||
            $this->technique->key === WellKnown::TIDY;
    }

    public function isLight(): bool
    {
        return $this->technique->has(Effect::HighlightRaised) || $this->technique->has(Effect::HighlightEdge);
    }
}
