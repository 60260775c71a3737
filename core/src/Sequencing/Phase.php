<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;

/** The phases of the work on one area, in their order. A technique's phase follows from its effects. */
enum Phase: int
{
    case Prepare = 0;
    case Undercoat = 10;
    case Value = 20;
    case Underlay = 30;
    case Base = 40;
    case SprayFade = 50;
    case Shade = 60;
    case Tidy = 70;
    case RaisedLight = 80;
    case BlendAndTint = 90;
    case Tone = 95;
    case EdgeLight = 100;
    case PointLight = 110;
    case TintOver = 115;
    case Lines = 120;
    case Detail = 130;
    case DecalGloss = 140;
    case Mark = 150;
    case Wear = 160;
    case GroundTexture = 161;
    case GroundColour = 162;
    case GroundShade = 163;
    case GroundLight = 164;
    case GroundScene = 165;
    case MattVarnish = 170;
    case GroundPlants = 175;
    case Gloss = 180;
    case Join = 190;
    case JointTidy = 195;
    case Rim = 197;
    case Check = 200;

    /** By effect, for techniques that give it: the first that holds decides, before and after their family does. */
    private const BEFORE_FAMILY = [
        [Effect::Prepare, self::Prepare],
        [Effect::Undercoat, self::Undercoat],
        [Effect::Value, self::Value],
        [Effect::Protect, self::MattVarnish],
        [Effect::Join, self::Join],
        [Effect::Check, self::Check],
        [Effect::GroundTexture, self::GroundTexture],
        [Effect::GroundColour, self::GroundColour],
        [Effect::GroundShade, self::GroundShade],
        [Effect::GroundLight, self::GroundLight],
        [Effect::GroundScene, self::GroundScene],
        [Effect::GroundPlants, self::GroundPlants],
        [Effect::GroundWet, self::GroundPlants],
        [Effect::Rim, self::Rim],
        [Effect::BaseColour, self::Base],
        [Effect::Underlay, self::Underlay],
        [Effect::DarkGround, self::Underlay],
        [Effect::LightGround, self::Underlay],
        [Effect::GlossGround, self::DecalGloss],
        [Effect::Gloss, self::Gloss],
        [Effect::Mark, self::Mark],
        [Effect::MarkSettled, self::Mark],
        [Effect::MarkWear, self::Mark],
        [Effect::Letter, self::Mark],
        [Effect::LetterFull, self::Mark],
        [Effect::Freehand, self::Mark],
        [Effect::Wear, self::Wear],
        [Effect::WearDrawn, self::Wear],
        [Effect::Grime, self::Wear],
        [Effect::GroundTie, self::Wear],
    ];

    private const AFTER_FAMILY = [
        [Effect::Tidy, self::Tidy],
        [Effect::Shade, self::Shade],
        [Effect::HighlightRaised, self::RaisedLight],
        [Effect::Tone, self::Tone],
        [Effect::TintOver, self::TintOver],
        [Effect::HighlightSpot, self::PointLight],
        [Effect::HighlightEdge, self::EdgeLight],
        [Effect::Separate, self::Lines],
        [Effect::SeparateTinted, self::Lines],
        [Effect::Reflect, self::Lines],
        [Effect::PickOut, self::Detail],
        [Effect::Glow, self::Detail],
    ];

    public static function of(Technique $technique): self
    {
        foreach (self::BEFORE_FAMILY as [$effect, $phase]) {
            if ($technique->has($effect)) {
                return $phase;
            }
        }
        if ($technique->family === Family::Spray) {
            return self::SprayFade;
        }
        foreach (self::AFTER_FAMILY as [$effect, $phase]) {
            if ($technique->has($effect)) {
                $both = $phase === self::Shade && $technique->has(Effect::HighlightRaised);

                return $both ? self::BlendAndTint : $phase;
            }
        }

        return self::BlendAndTint;
    }

    public function isGround(): bool
    {
        return in_array(
            $this,
            [self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight, self::GroundScene],
            true,
        );
    }

    /** The steps light_last puts in order among themselves. */
    public function isLight(): bool
    {
        return in_array($this, [self::Tidy, self::RaisedLight, self::EdgeLight, self::PointLight], true);
    }

    /**
     * A technique's place on one area. Shade goes from stains over a base by stains, washes and recesses to glazes;
     * light from overbrush, drybrush and tidying by stipple, layer and light glaze, tone by tone, to edges and
     * hatching, tone by tone too. Nothing else ranks within its phase but marks.
     *
     * @param  int  $tone  of its pass, from 1, the darkest
     */
    public function rank(Technique $technique, int $tone = 1): float
    {
        return match ($this) {
            self::Shade => $this->value +
                match (true) {
                    $technique->tidied && $technique->has(Effect::Tint) => 0.1,
                    $technique->tidied && $technique->mess < Step::MESSY => 0.2,
                    $technique->mess >= Step::MESSY => 0.3,
                    ! $technique->has(Effect::Blend) => 0.4,
                    default => 0.5,
                },
            self::Tidy => self::Tidy->value + 3,
            self::RaisedLight => match (true) {
                $technique->mess > Step::MESSY => self::Tidy->value + 1,
                $technique->mess === Step::MESSY => self::Tidy->value + 2,
                $technique->has(Effect::Texture) => $this->value + $tone / 10,
                $technique->has(Effect::Blend) => $this->value + $tone / 10 + 0.02,
                default => $this->value + $tone / 10 + 0.01,
            },
            self::EdgeLight => $this->value + $tone / 10 + ($technique->has(Effect::Texture) ? 0.02 : 0.01),
            self::Mark => $this->value +
                match (true) {
                    $technique->has(Effect::Mark) => 1,
                    $technique->has(Effect::MarkSettled) => 2,
                    $technique->has(Effect::MarkWear) => 4,
                    default => 3,
                },
            default => $this->value,
        };
    }
}
