<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** One picture of a drill, with what is planted in it. */
final readonly class DrillPicture
{
    /**
     * @param  string|null  $fault  key of its kind; null: it is as it should be
     * @param  string|null  $area  key
     * @param  float|null  $size  mm; ΔE00 of a drift; null: as large as it usually is
     * @param  bool  $counts  whether it counts at the tier
     */
    public function __construct(
        public int $seed,
        public ?string $fault,
        public ?string $area,
        public ?float $size,
        public bool $counts,
    ) {
    }

    /** @param  string|null  $pressed  key of the area that was pressed; null: said to have nothing that counts */
    public function answered(?string $pressed): DrillOutcome
    {
        return match (true) {
            $this->counts && $pressed === $this->area => DrillOutcome::Found,
            $this->counts => DrillOutcome::Missed,
            $pressed === null => DrillOutcome::Right,
            default => DrillOutcome::False,
        };
    }
}
