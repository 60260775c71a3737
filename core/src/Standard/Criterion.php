<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What a finish clause measures. */
enum Criterion: string
{
    case TonalSpan = 'tonal_span';
    case Tones = 'tones';
    case LightFromAbove = 'light_from_above';
    case LineShare = 'line_share';
    case BaseColour = 'base_colour';
    case ColourDrift = 'colour_drift';
    case HardStep = 'hard_step';
    case BarePrimer = 'bare_primer';
    case LineWidth = 'line_width';
    case LastLight = 'last_light';

    /** Whether it asks for paint that covers: nothing where an area stays unpainted on purpose. */
    public function isOfCover(): bool
    {
        return $this === self::BarePrimer || $this === self::BaseColour;
    }

    /** Whether the figure must be reached; else it must not be passed. */
    public function isFloor(): bool
    {
        return match ($this) {
            self::TonalSpan, self::Tones, self::LightFromAbove, self::LineShare, self::LastLight => true,
            self::BaseColour, self::ColourDrift, self::HardStep, self::BarePrimer, self::LineWidth => false,
        };
    }
}
