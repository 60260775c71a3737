<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\UsedTechnique;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/**
 * A technique as a plan uses it on an area: how many passes, how widely, minutes of each. Where the technique tapers,
 * the extent is that of its first pass.
 */
final readonly class ChosenTechnique extends UsedTechnique
{
    /** @param  non-empty-list<float>  $minutesOf  each pass */
    public function __construct(
        Technique $technique,
        public int $index,
        Extent $extent,
        public array $minutesOf,
    ) {
        parent::__construct($technique, $extent, count($minutesOf));
    }

    public static function of(Candidate $candidate, int $passes, Extent $extent): self
    {
        $minutes = array_map(
            fn (int $pass) => $candidate->minutes[$candidate->technique->extentOf($pass, $extent)->value],
            range(1, max(1, $passes)),
        );

        return new self($candidate->technique, $candidate->index, $extent, $minutes);
    }

    /**
     * What steps of one area come to, in catalogue order.
     *
     * @param  list<Step>  $steps
     * @return list<self>
     */
    public static function ofSteps(array $steps): array
    {
        $used = $minutes = [];
        foreach ($steps as $step) {
            $before = $used[$step->catalogue] ?? $step;
            $used[$step->catalogue] = $before->extent->value >= $step->extent->value ? $before : $step;
            $minutes[$step->catalogue][] = $step->minutes;
        }
        ksort($used);

        return array_map(
            fn (Step $s) => new self($s->technique, $s->catalogue, $s->extent, $minutes[$s->catalogue]),
            array_values($used),
        );
    }

    public function minutes(): float
    {
        return array_sum($this->minutesOf);
    }

    /** Without its last pass; null when that is the only one. */
    public function withoutLast(): ?self
    {
        $minutes = array_slice($this->minutesOf, 0, -1);

        return $minutes === [] ? null : new self($this->technique, $this->index, $this->extent, $minutes);
    }
}
