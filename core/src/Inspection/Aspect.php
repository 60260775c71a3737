<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultKind;

/** What one look is about, in the order in which a view is gone through where nothing else decides. */
enum Aspect: string
{
    case Cover = 'cover';
    case Tones = 'tones';
    case Lines = 'lines';
    case Details = 'details';
    case Metal = 'metal';
    case Wear = 'wear';
    case Ground = 'ground';
    /** All that is seen in a view that holds too little for several looks. */
    case All = 'all';
    /** Of the whole model. */
    case Varnish = 'varnish';
    case Reference = 'reference';
    case Final = 'final';

    /** Null: an effect that has no look of its own. */
    public static function ofEffect(Effect $effect): ?self
    {
        return match ($effect) {
            Effect::Underlay, Effect::BaseColour, Effect::Texture => self::Cover,
            Effect::Shade, Effect::HighlightRaised, Effect::Blend, Effect::Tint, Effect::Tone => self::Tones,
            Effect::HighlightEdge, Effect::Separate, Effect::SeparateTinted => self::Lines,
            Effect::PickOut, Effect::HighlightSpot, Effect::TintOver, Effect::Glow, Effect::Mark, Effect::MarkWear,
            Effect::MarkSettled, Effect::Letter, Effect::LetterFull, Effect::Freehand => self::Details,
            Effect::Reflect, Effect::Gloss => self::Metal,
            Effect::Wear, Effect::WearDrawn, Effect::Grime => self::Wear,
            Effect::GroundTexture, Effect::GroundColour, Effect::GroundShade, Effect::GroundLight,
            Effect::GroundPlants, Effect::GroundWet, Effect::GroundScene, Effect::GroundTie,
            Effect::Rim => self::Ground,
            Effect::Protect => self::Varnish,
            Effect::DarkGround, Effect::LightGround, Effect::GlossGround, Effect::Tidy, Effect::Undercoat,
            Effect::Value, Effect::Join, Effect::Prepare, Effect::Check => null,
        };
    }

    public static function ofCriterion(Criterion $criterion): self
    {
        return match ($criterion) {
            Criterion::BarePrimer, Criterion::BaseColour => self::Cover,
            Criterion::LineWidth, Criterion::LineShare, Criterion::LastLight => self::Lines,
            Criterion::TonalSpan, Criterion::Tones, Criterion::LightFromAbove, Criterion::ColourDrift,
            Criterion::HardStep => self::Tones,
        };
    }

    /** Where its effects go, else to cover. */
    public static function ofFault(FaultKind $kind): self
    {
        foreach ($kind->effects as $effect) {
            $aspect = self::ofEffect($effect);
            if ($aspect !== null) {
                return $aspect;
            }
        }

        return self::Cover;
    }

    /** The look at it from one side (null: at the whole model): the same in every round. */
    public function in(?View $view): string
    {
        return ($view->value ?? 'whole').'.'.$this->value;
    }
}
