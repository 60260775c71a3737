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

    public static function of(Technique $technique): self
    {
        $gives = fn (Effect ...$effects): bool => $technique->givesAny(...$effects);

        return match (true) {
            $gives(Effect::Prepare) => self::Prepare,
            $gives(Effect::Undercoat) => self::Undercoat,
            $gives(Effect::Value) => self::Value,
            $gives(Effect::Protect) => self::MattVarnish,
            $gives(Effect::Join) => self::Join,
            $gives(Effect::Check) => self::Check,
            $gives(Effect::GroundTexture) => self::GroundTexture,
            $gives(Effect::GroundColour) => self::GroundColour,
            $gives(Effect::GroundShade) => self::GroundShade,
            $gives(Effect::GroundLight) => self::GroundLight,
            $gives(Effect::GroundScene) => self::GroundScene,
            $gives(Effect::GroundPlants, Effect::GroundWet) => self::GroundPlants,
            $gives(Effect::Rim) => self::Rim,
            $gives(Effect::BaseColour) => self::Base,
            $gives(Effect::Underlay, Effect::DarkGround, Effect::LightGround) => self::Underlay,
            $gives(Effect::GlossGround) => self::DecalGloss,
            $gives(Effect::Gloss) => self::Gloss,
            $gives(
                Effect::Mark,
                Effect::MarkSettled,
                Effect::MarkWear,
                Effect::Letter,
                Effect::LetterFull,
                Effect::Freehand,
            ) => self::Mark,
            $gives(Effect::Wear, Effect::WearDrawn, Effect::Grime, Effect::GroundTie) => self::Wear,
            $technique->family === Family::Spray => self::SprayFade,
            $gives(Effect::Tidy) => self::Tidy,
            $gives(Effect::Shade) && $gives(Effect::HighlightRaised) => self::BlendAndTint,
            $gives(Effect::Shade) => self::Shade,
            $gives(Effect::HighlightRaised) => self::RaisedLight,
            $gives(Effect::Tone) => self::Tone,
            $gives(Effect::TintOver) => self::TintOver,
            $gives(Effect::HighlightSpot) => self::PointLight,
            $gives(Effect::HighlightEdge) => self::EdgeLight,
            $gives(Effect::Separate, Effect::SeparateTinted, Effect::Reflect) => self::Lines,
            $gives(Effect::PickOut, Effect::Glow) => self::Detail,
            default => self::BlendAndTint,
        };
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
