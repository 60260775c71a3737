<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

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

    /** How far the wash and the drybrush of the value sketch stand after it; a ground that comes first, between. */
    private const VALUE_SHADE = 0.05;

    private const VALUE_LIGHT = 0.9;

    /** Where spraying stands among what decides the phase of a technique that gives several effects. */
    private const SPRAYING = 31;

    public static function of(Technique $technique): self
    {
        [$least, $phase] =
            $technique->family === Family::Spray
                ? [self::SPRAYING, self::SprayFade]
                : [PHP_INT_MAX, self::BlendAndTint];
        foreach (array_keys($technique->effects) as $effect) {
            [$place, $there] = self::byEffect(Effect::from($effect));
            if ($place < $least) {
                [$least, $phase] = [$place, $there];
            }
        }

        return $phase === self::Shade && $technique->has(Effect::HighlightRaised) ? self::BlendAndTint : $phase;
    }

    /** @return array{int, self} which of several effects decides, the least, and the phase it puts a technique in */
    private static function byEffect(Effect $effect): array
    {
        return match ($effect) {
            Effect::Prepare => [1, self::Prepare],
            Effect::Undercoat => [2, self::Undercoat],
            Effect::Value => [3, self::Value],
            Effect::Protect => [4, self::MattVarnish],
            Effect::Join => [5, self::Join],
            Effect::Check => [6, self::Check],
            Effect::GroundTexture => [7, self::GroundTexture],
            Effect::GroundColour => [8, self::GroundColour],
            Effect::GroundShade => [9, self::GroundShade],
            Effect::GroundLight => [10, self::GroundLight],
            Effect::GroundScene => [11, self::GroundScene],
            Effect::GroundPlants => [12, self::GroundPlants],
            Effect::GroundWet => [13, self::GroundPlants],
            Effect::Rim => [14, self::Rim],
            Effect::BaseColour => [15, self::Base],
            Effect::Underlay => [16, self::Underlay],
            Effect::DarkGround => [17, self::Underlay],
            Effect::LightGround => [18, self::Underlay],
            Effect::GlossGround => [19, self::DecalGloss],
            Effect::Gloss => [20, self::Gloss],
            Effect::Mark => [21, self::Mark],
            Effect::MarkSettled => [22, self::Mark],
            Effect::MarkWear => [23, self::Mark],
            Effect::Letter => [24, self::Mark],
            Effect::LetterFull => [25, self::Mark],
            Effect::Freehand => [26, self::Mark],
            Effect::Wear => [27, self::Wear],
            Effect::WearDrawn => [28, self::Wear],
            Effect::Grime => [29, self::Wear],
            Effect::GroundTie => [30, self::Wear],
            Effect::Tidy => [32, self::Tidy],
            Effect::Shade => [33, self::Shade],
            Effect::HighlightRaised => [34, self::RaisedLight],
            Effect::Tone => [35, self::Tone],
            Effect::TintOver => [36, self::TintOver],
            Effect::HighlightSpot => [37, self::PointLight],
            Effect::HighlightEdge => [38, self::EdgeLight],
            Effect::Separate => [39, self::Lines],
            Effect::SeparateTinted => [40, self::Lines],
            Effect::Reflect => [41, self::Lines],
            Effect::PickOut => [42, self::Detail],
            Effect::Glow => [43, self::Detail],
            Effect::Blend, Effect::Tint, Effect::Texture => [PHP_INT_MAX, self::BlendAndTint],
        };
    }

    public function isGround(): bool
    {
        return match ($this) {
            self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight,
            self::GroundScene => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::SprayFade, self::Shade,
            self::Tidy, self::RaisedLight, self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight,
            self::TintOver, self::Lines, self::Detail, self::DecalGloss, self::Mark, self::Wear, self::MattVarnish,
            self::GroundPlants, self::Gloss, self::Join, self::JointTidy, self::Rim, self::Check => false,
        };
    }

    /** The steps light_last puts in order among themselves. */
    public function isLight(): bool
    {
        return match ($this) {
            self::Tidy, self::RaisedLight, self::EdgeLight, self::PointLight => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::SprayFade, self::Shade,
            self::BlendAndTint, self::Tone, self::TintOver, self::Lines, self::Detail, self::DecalGloss,
            self::Mark, self::Wear, self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight,
            self::GroundScene, self::MattVarnish, self::GroundPlants, self::Gloss, self::Join, self::JointTidy,
            self::Rim, self::Check => false,
        };
    }

    /**
     * A technique's place on one area. Value goes from the sketch by the wash to the drybrush; shade from stains over a
     * base by stains, washes and recesses to glazes; light from overbrush, drybrush and tidying by blends that give
     * shade and light at once, then by layer, light glaze and stipple, tone by tone, to edges and hatching, tone by
     * tone too. Nothing else ranks within its phase but marks.
     *
     * @param  int  $tone  of its pass, from 1, the darkest
     */
    public function rank(Technique $technique, int $tone = 1): float
    {
        return match ($this) {
            self::Value => $this->value +
                match ($technique->key) {
                    WellKnown::VALUE_DRYBRUSH => self::VALUE_LIGHT,
                    WellKnown::VALUE_WASH => self::VALUE_SHADE,
                    default => 0,
                },
            self::BlendAndTint => $technique->has(Effect::Shade) && $technique->has(Effect::HighlightRaised)
                ? self::RaisedLight->value + 0.05
                : $this->value,
            self::Shade => $this->value +
                match (true) {
                    $technique->tidied && $technique->has(Effect::Tint) => 0.1,
                    $technique->tidied && $technique->mess < Technique::MESSY => 0.2,
                    $technique->mess >= Technique::MESSY => 0.3,
                    ! $technique->has(Effect::Blend) => 0.4,
                    default => 0.5,
                },
            self::Tidy => self::Tidy->value + 3,
            self::RaisedLight => match (true) {
                $technique->mess > Technique::MESSY => self::Tidy->value + 1,
                $technique->mess === Technique::MESSY => self::Tidy->value + 2,
                $technique->has(Effect::Texture) => $this->value + $tone / 10 + 0.02,
                $technique->has(Effect::Blend) => $this->value + $tone / 10 + 0.01,
                default => $this->value + $tone / 10,
            },
            self::EdgeLight => $this->value + $tone / 10 + ($technique->has(Effect::Texture) ? 0.02 : 0.01),
            // Parts are joined and their joints tidied under the varnish; handles and bases come off or on at the end.
            self::Join => $technique->key === WellKnown::JOIN_PARTS ? self::MattVarnish->value - 2 : $this->value,
            self::JointTidy => self::MattVarnish->value - 1,
            self::Mark => $this->value +
                match (true) {
                    $technique->has(Effect::Mark) => 1,
                    $technique->has(Effect::MarkSettled) => 2,
                    $technique->has(Effect::MarkWear) => 4,
                    default => 3,
                },
            self::Prepare, self::Undercoat, self::Underlay, self::Base, self::SprayFade, self::Tone,
            self::PointLight, self::TintOver, self::Lines, self::Detail, self::DecalGloss, self::Wear,
            self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight, self::GroundScene,
            self::MattVarnish, self::GroundPlants, self::Gloss, self::Rim, self::Check => $this->value,
        };
    }

    /** Steps that finish a piece wherever the work stops. */
    public function isFinishing(): bool
    {
        return match ($this) {
            self::MattVarnish, self::GroundPlants, self::Gloss, self::Join, self::JointTidy, self::Rim,
            self::Check => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::SprayFade, self::Shade,
            self::Tidy, self::RaisedLight, self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight,
            self::TintOver, self::Lines, self::Detail, self::DecalGloss, self::Mark, self::Wear,
            self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight,
            self::GroundScene => false,
        };
    }

    /** Neat light and what lies on it: a base colour put back would run under it. */
    public function isNeatLight(): bool
    {
        return match ($this) {
            self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::SprayFade, self::Shade,
            self::Tidy, self::RaisedLight, self::TintOver, self::Lines, self::Detail, self::DecalGloss, self::Mark,
            self::Wear, self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundLight,
            self::GroundScene, self::MattVarnish, self::GroundPlants, self::Gloss, self::Join, self::JointTidy,
            self::Rim, self::Check => false,
        };
    }

    /** What gives an area its colour before any light. */
    public function isUnderLight(): bool
    {
        return match ($this) {
            self::Base, self::Shade, self::Tone => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::SprayFade, self::Tidy,
            self::RaisedLight, self::BlendAndTint, self::EdgeLight, self::PointLight, self::TintOver, self::Lines,
            self::Detail, self::DecalGloss, self::Mark, self::Wear, self::GroundTexture, self::GroundColour,
            self::GroundShade, self::GroundLight, self::GroundScene, self::MattVarnish, self::GroundPlants,
            self::Gloss, self::Join, self::JointTidy, self::Rim, self::Check => false,
        };
    }

    /** The base colours, brushed or sprayed. */
    public function laysBase(): bool
    {
        return match ($this) {
            self::Base, self::SprayFade => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Shade, self::Tidy,
            self::RaisedLight, self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight, self::TintOver,
            self::Lines, self::Detail, self::DecalGloss, self::Mark, self::Wear, self::GroundTexture,
            self::GroundColour, self::GroundShade, self::GroundLight, self::GroundScene, self::MattVarnish,
            self::GroundPlants, self::Gloss, self::Join, self::JointTidy, self::Rim, self::Check => false,
        };
    }

    /** Painted in the base colour of the scheme. */
    public function takesBaseColour(): bool
    {
        return match ($this) {
            self::Base, self::Tidy, self::Detail, self::GroundColour, self::Rim, self::JointTidy => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::SprayFade, self::Shade,
            self::RaisedLight, self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight, self::TintOver,
            self::Lines, self::DecalGloss, self::Mark, self::Wear, self::GroundTexture, self::GroundShade,
            self::GroundLight, self::GroundScene, self::MattVarnish, self::GroundPlants, self::Gloss, self::Join,
            self::Check => false,
        };
    }

    /** Painted in the lights of the scheme, whatever the technique. */
    public function takesLights(): bool
    {
        return match ($this) {
            self::RaisedLight, self::EdgeLight, self::PointLight, self::SprayFade, self::GroundLight => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::Shade, self::Tidy,
            self::BlendAndTint, self::Tone, self::TintOver, self::Lines, self::Detail, self::DecalGloss,
            self::Mark, self::Wear, self::GroundTexture, self::GroundColour, self::GroundShade, self::GroundScene,
            self::MattVarnish, self::GroundPlants, self::Gloss, self::Join, self::JointTidy, self::Rim,
            self::Check => false,
        };
    }

    /** Painted in the shades of the scheme. */
    public function takesShades(): bool
    {
        return match ($this) {
            self::Shade, self::GroundShade => true,
            self::Prepare, self::Undercoat, self::Value, self::Underlay, self::Base, self::SprayFade, self::Tidy,
            self::RaisedLight, self::BlendAndTint, self::Tone, self::EdgeLight, self::PointLight, self::TintOver,
            self::Lines, self::Detail, self::DecalGloss, self::Mark, self::Wear, self::GroundTexture,
            self::GroundColour, self::GroundLight, self::GroundScene, self::MattVarnish, self::GroundPlants,
            self::Gloss, self::Join, self::JointTidy, self::Rim, self::Check => false,
        };
    }
}
