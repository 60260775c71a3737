<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/**
 * One pass of one technique on one area, or on the whole model where `area` is null. Minutes are hand minutes on one
 * piece; `handling` is the part of them that a pass over several areas needs only once.
 */
final readonly class Step
{
    public Phase $phase;

    /**
     * @param  int  $pass  of this technique on this area, from 1
     * @param  list<string>  $because  ids of clauses and amendments, or `base`, `tidy`, `method.KEY`
     * @param  list<string>  $sprays  for masking: the areas it is done for
     * @param  list<string>  $covers  for masking: the areas it covers
     * @param  Phase|null  $phase  where it is not the technique's own
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
    ) {
        $this->phase = $phase ?? Phase::of($technique);
    }

    /**
     * A name for the step that stays when the plan around it changes: area (`*`: the whole model), technique, pass; of
     * a masking, the first area it is done for.
     */
    public function key(): string
    {
        return $this->place().
            ':'.
            match (true) {
                $this->sprays !== [] => $this->sprays[0],
                $this->phase === Phase::JointTidy => 'joint',
                default => (string) $this->pass,
            };
    }

    /** The key with the paint, which tells steps apart that pieces of a unit get in different paints. */
    public function paintedKey(): string
    {
        return $this->key().'@'.($this->colour?->words() ?? '');
    }

    /** Area and technique, whichever the pass. */
    public function place(): string
    {
        return ($this->area->key ?? '*').":{$this->technique->key}";
    }

    /** Steps with the same pot can be done in one pass of the brush over many areas. */
    public function pot(): string
    {
        return $this->technique->key.
            '|'.
            ($this->colour?->words() ?? '').
            '|'.
            $this->phase->value.
            ($this->sprays === [] ? '' : '|'.implode(',', $this->sprays));
    }

    /** Minutes from the first stroke until something may go over it, beside the hand minutes. */
    public function drying(): float
    {
        return $this->technique->dry + ($this->technique->coats - 1) * $this->technique->coatDry;
    }

    public function isMessy(): bool
    {
        return $this->technique->mess >= 2;
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
        );
    }
}
