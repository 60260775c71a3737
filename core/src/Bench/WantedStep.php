<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Standard\Technique;

/** A step that a piece wants on the bench: of its release, or of a repair. Minutes are hand minutes as planned. */
final readonly class WantedStep
{
    /** @param  string|null  $area  key; null: the whole model */
    public function __construct(public Technique $technique, public ?string $area, public float $minutes)
    {
    }
}
