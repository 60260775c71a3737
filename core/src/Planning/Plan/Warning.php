<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Sequencing\Cycle;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Technique;

/** Something the plan wants a person to know. Which of the details are there follows from the kind. */
final readonly class Warning
{
    /**
     * @param  int|null  $passes  of light, for what is said of lights
     * @param  int|null  $colours  there are for them
     * @param  string|null  $paint  it is about
     * @param  string|null  $beside  the paint it is compared with
     * @param  float|null  $minutes  of the unit
     * @param  list<Reason>  $reasons  what calls for it
     * @param  float|null  $noticedMm  from which something is noticed at the tier's distance
     */
    public function __construct(
        public WarningKind $kind,
        public ?Area $area = null,
        public ?Technique $technique = null,
        public ?int $gradeBar = null,
        public ?Amendment $amendment = null,
        public ?Overrule $overrule = null,
        public ?Cycle $cycle = null,
        public ?Doubt $doubt = null,
        public ?float $noticedMm = null,
        public ?float $distanceCm = null,
        public ?int $passes = null,
        public ?int $colours = null,
        public ?StepColour $repeated = null,
        public ?string $paint = null,
        public ?string $beside = null,
        public ?float $minutes = null,
        public array $reasons = [],
    ) {
    }

    /** @return list<Rule> the rules of order it is about */
    public function rules(): array
    {
        return $this->cycle?->rules() ?? ($this->overrule === null ? [] : [$this->overrule->rule]);
    }
}
