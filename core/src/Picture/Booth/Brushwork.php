<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Who lays which mark: grounds to blends, what lies thin over them, details, wear and ground. */
final class Brushwork
{
    public static function lay(Mark $mark, Stroke $s): void
    {
        match ($mark) {
            Mark::Undercoat => Coats::undercoat($s, 0.0, 0.0),
            Mark::CanUndercoat => Coats::undercoat($s, 0.05, 0.0),
            Mark::BrushedUndercoat => Coats::undercoat($s, 0.0, 0.09),
            Mark::ValueSketch => $s->patch->paint(Colour::hex('#d9d7d0'), $s->masks->ramp(0.35, 0.95, 0.9)),
            Mark::ValueDrybrush => $s->patch->paint(Colour::hex('#c9c6bd'), $s->masks->above(0.55, 0.12, 0.3, 0.75)),
            Mark::ValueWash => $s->patch->stain(Colour::hex('#2c2824'), $s->masks->gathered(0.6, 0.85)),
            Mark::Cover => Coats::cover($s, 1.0),
            Mark::LightUnderlay => $s->patch->paint($s->colour, $s->masks->above(0.0, 0.5, 0.5, 0.94)),
            Mark::SprayedCover => Coats::cover($s, 0.985),
            Mark::ThinCover, Mark::PickOut => Coats::thin($s),
            Mark::ShadedCover => Coats::shaded($s),
            Mark::Stain => Coats::stained($s, 0.55, 0.9),
            Mark::StainFade => Coats::faded($s),
            Mark::WetBlend => Coats::wetBlend($s),
            Mark::MetalUnderlay => Coats::metal($s, 0.25),
            Mark::Metal => Coats::metal($s, 1.0),
            Mark::DryMetal => Coats::dryMetal($s),
            Mark::MetalIllusion => Coats::illusion($s),
            Mark::MetalWash => Coats::wash($s, 0.9, 0.30),
            Mark::Wash => Coats::wash($s, 0.92, 0.24),
            Mark::StainShade => Coats::wash($s, 0.7, 0.10),
            Mark::StainOver => Coats::stainOver($s),
            Mark::Recess => $s->patch->paint($s->colour, $s->masks->gathered(0.26 * $s->reach(), 0.9, 0.6)),
            Mark::Tidy => Coats::step($s, $s->base, $s->from(0.4), 0.03, $s->isBlended ? 0.5 : 0.97),
            Mark::Overbrush, Mark::Drybrush, Mark::GroundDrybrush => Coats::dry($s, $mark),
            Mark::Layer => Coats::step($s, $s->colour, Coats::rank($s), 0.022, 1.0),
            Mark::Stipple => $s->patch->blend($s->colour, $s->masks->slope(Coats::rank($s) - 0.25, 1.1, 0.7, 0.22)),
            Mark::Glaze => $s->patch->blend($s->colour, $s->masks->slope(0.58, 0.0, 0.34 * $s->reach())),
            Mark::LightGlaze => $s->patch->blend($s->colour, $s->masks->slope(0.42, 1.02, 0.42 * $s->reach())),
            Mark::SprayFade => Blends::fade($s),
            Mark::TwoBrush => Blends::twoBrush($s),
            Mark::Filter => $s->patch->stain($s->colour->filter(), $s->masks->all(0.55)),
            Mark::ToningGlaze => $s->patch->stain($s->colour->filter(), $s->masks->all(0.24)),
            Mark::ToningWash => Blends::toningWash($s),
            Mark::TintOver => Blends::tintOver($s),
            Mark::Edge => Blends::edge($s),
            Mark::Hatch => Blends::hatch($s),
            Mark::Point => Blends::point($s),
            Mark::DarkLine => Blends::line($s, $s->colour, 0.14, 0.95),
            Mark::TintedLine => Blends::line($s, $s->colour, 0.16, 0.75),
            Mark::Reflection => Blends::reflection($s),
            Mark::Matt => Blends::varnish($s, 0.0),
            Mark::Gloss => Blends::varnish($s, 1.0),
            Mark::EyeDot => Details::eye($s, false),
            Mark::EyeFull => Details::eye($s, true),
            Mark::LensTwoTone => Details::lens($s, false),
            Mark::LensFade => Details::lens($s, true),
            Mark::LitSpot, Mark::Glow => Details::lit($s, $mark === Mark::Glow),
            Mark::Decal, Mark::SettledDecal, Mark::WornDecal => Details::decal($mark, $s),
            Mark::MockLetters, Mark::Letters => Details::letters($s, $mark === Mark::Letters),
            Mark::Freehand, Mark::SimpleFreehand => Details::freehand($s, $mark === Mark::Freehand),
            Mark::Chips => Weathering::chips($s),
            Mark::Damage => Weathering::damage($s),
            Mark::Rust => Weathering::rust($s),
            Mark::Streaks => Weathering::streaks($s),
            Mark::Verdigris => Weathering::verdigris($s),
            Mark::Dust, Mark::GroundTie => Weathering::dust($s, $mark === Mark::Dust ? 0.8 : 0.6),
            Mark::GroundPaste, Mark::GroundSand => Weathering::texture($s, $mark === Mark::GroundPaste ? 1.4 : 4.2),
            Mark::GroundPaint => Weathering::ground($s),
            Mark::GroundWash => $s->patch->stain(Colour::hex('#3a2c20'), $s->masks->gathered(0.6, 0.9)),
            Mark::Wet => Weathering::wet($s),
            Mark::Scene => Weathering::scene($s),
            Mark::Rim => $s->patch->paint($s->colour, $s->masks->all(1.0)),
            // Drawn by themselves: what stands up from the ground.
            Mark::Tufts => null,
        };
    }
}
