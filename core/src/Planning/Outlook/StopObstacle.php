<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\MustHold;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Sculpt\Area;

/** Why work on a plan cannot stop at a tier. Exactly one of what follows the area says it. */
final readonly class StopObstacle
{
    /**
     * @param  Area|null  $area  null: the whole model
     * @param  Requirement|null  $asked  that the plan never meets
     * @param  list<MustHold>  $lacking  what would not hold there
     * @param  Rule|null  $rule  that puts what the tier asks after all the rest of the work
     * @param  FormatException|null  $unfit  an amendment of the plan does not fit the tier
     */
    private function __construct(
        public ?Area $area = null,
        public ?Requirement $asked = null,
        public array $lacking = [],
        public ?Rule $rule = null,
        public ?FormatException $unfit = null,
    ) {
    }

    public static function notMet(Requirement $asked, ?Area $area): self
    {
        return new self($area, $asked);
    }

    /** @param  non-empty-list<MustHold>  $what */
    public static function lacking(array $what, ?Area $area): self
    {
        return new self($area, lacking: $what);
    }

    public static function forbidden(Rule $rule): self
    {
        return new self(rule: $rule);
    }

    public static function unfit(FormatException $why): self
    {
        return new self(unfit: $why);
    }
}
