<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Sculpt\Area;

/**
 * Minutes of one colour over the whole unit, by airbrush (set-up, hand, masking) and by brush (set-up, hand). Hand
 * minutes
 * are those of everything the areas get when their base is done that way, in least minutes, since the base decides
 * what
 * else they need.
 */
final readonly class SprayOrBrush
{
    /**
     * @param  string|null  $paint  null: without a scheme every area is a colour of its own
     * @param  non-empty-list<Area>  $areas
     * @param  list<Area>  $masked  what is covered while it is sprayed
     */
    public function __construct(
        public ?string $paint,
        public array $areas,
        public array $masked,
        public bool $isSprayed,
        public float $spraySetup,
        public float $sprayHand,
        public float $masking,
        public float $brushSetup,
        public float $brushHand,
    ) {
    }

    public function bySpray(): float
    {
        return $this->spraySetup + $this->sprayHand + $this->masking;
    }

    public function byBrush(): float
    {
        return $this->brushSetup + $this->brushHand;
    }
}
