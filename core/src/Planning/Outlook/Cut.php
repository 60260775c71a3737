<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Plan\SpareMinutes;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Technique;

/**
 * Something that can go when a piece must take less time: a step the tier does not need, or what an amendment adds.
 */
final readonly class Cut
{
    /** @param  float  $notice  how much is noticed of it, as in {@see SpareMinutes} */
    public function __construct(
        public ?Area $area,
        public ?Technique $technique,
        public ?Amendment $amendment,
        public float $minutes,
        public float $notice,
    ) {
    }

    public function noticeAMinute(): float
    {
        return $this->notice / max(0.01, $this->minutes);
    }
}
