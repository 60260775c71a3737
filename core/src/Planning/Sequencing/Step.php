<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\ReasonKind;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;

/**
 * One pass of one technique on one area, or on the whole model where `area` is null. Minutes are hand minutes on one
 * piece; `handling` is the part of them that a pass over several areas needs only once.
 */
final readonly class Step
{
    private const HOURS = 120.0;

    public Phase $phase;

    /** In one pass, as ground and paint have them. */
    public int $coats;

    /**
     * @param  int  $pass  of this technique on this area, from 1
     * @param  list<Reason>  $because
     * @param  list<string>  $sprays  for masking: the areas it is done for
     * @param  list<string>  $covers  for masking: the areas it covers
     * @param  Phase|null  $phase  where it is not the technique's own
     * @param  int|null  $coats  in one pass, where they are not the technique's own
     */
    public function __construct(
        public ?Area $area,
        public Technique $technique,
        public int $catalogue,
        public int $pass,
        public Extent $extent,
        public float $minutes,
        public float $handling,
        public array $because,
        public ?StepColour $colour = null,
        public array $sprays = [],
        public array $covers = [],
        ?Phase $phase = null,
        ?int $coats = null,
    ) {
        $this->phase = $phase ?? Phase::of($technique);
        $this->coats = $coats ?? $technique->coats;
    }

    /** Area (`*`: the whole model), technique and pass; of a masking, the first area it is done for. */
    public function key(): StepKey
    {
        return StepKey::at(
            $this->place(),
            $this->sprays[0] ?? ($this->phase === Phase::JointTidy ? 'joint' : (string) $this->pass),
        );
    }

    public function paintedKey(): StepKey
    {
        return $this->key()->in($this->colour?->words() ?? '');
    }

    public function place(): StepPlace
    {
        return StepPlace::of($this->area?->key, $this->technique->key);
    }

    /** Steps with the same pot can be done in one pass of the brush over many areas. */
    public function pot(): string
    {
        $sprays = $this->sprays === [] ? '' : '|'.implode(',', $this->sprays);

        return $this->technique->key.'|'.($this->colour?->words() ?? '').'|'.$this->phase->value.$sprays;
    }

    /** What the rest of the work should not have to wait for at its end: it is begun as soon as it can be. */
    public function driesForHours(): bool
    {
        return $this->technique->dry >= self::HOURS;
    }

    /** Minutes from the first stroke until something may go over it, beside the hand minutes. */
    public function drying(): float
    {
        return $this->technique->dry + ($this->coats - 1) * $this->technique->coatDry;
    }

    public function isSprayed(): bool
    {
        return $this->technique->family === Family::Spray;
    }

    public function isMessy(): bool
    {
        return $this->technique->mess >= Technique::MESSY;
    }

    /** Whether inner_finished speaks of it: messy, brushed, from the base to the raised light of the figure. */
    public function isFinishedInside(): bool
    {
        return $this->isMessy() &&
            ! $this->isSprayed() &&
            $this->area !== null &&
            $this->area->rank !== Rank::Ground &&
            $this->phase->value >= Phase::Base->value &&
            $this->phase->value <= Phase::RaisedLight->value;
    }

    /** Whether it is done beside what was chosen: masking, the tidying of a joint, a ground put right. */
    public function isBeside(): bool
    {
        return $this->sprays !== [] ||
            $this->phase === Phase::JointTidy ||
            array_filter($this->because, fn (Reason $r) => $r->kind === ReasonKind::TouchUp) !== [];
    }

    public function numbered(int $pass): self
    {
        return new self(
            $this->area,
            $this->technique,
            $this->catalogue,
            $pass,
            $this->extent,
            $this->minutes,
            $this->handling,
            $this->because,
            $this->colour,
            $this->sprays,
            $this->covers,
            $this->phase,
            $this->coats,
        );
    }

    public function coloured(?StepColour $colour): self
    {
        return new self(
            $this->area,
            $this->technique,
            $this->catalogue,
            $this->pass,
            $this->extent,
            $this->minutes,
            $this->handling,
            $this->because,
            $colour,
            $this->sprays,
            $this->covers,
            $this->phase,
            $this->coats,
        );
    }
}
