<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\Place;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Studio\OrderStatus;

/** What painters call the things of the closed sets, and what clients are told. */
final class Terms
{
    public static function effect(Effect $effect): string
    {
        return match ($effect) {
            Effect::HighlightRaised => 'light on raised forms',
            Effect::HighlightEdge => 'edge highlights',
            Effect::HighlightSpot => 'points of light',
            Effect::Shade => 'shade in the recesses',
            Effect::Blend => 'blends',
            Effect::Separate => 'dark lines between parts',
            Effect::SeparateTinted => 'tinted lines between parts',
            Effect::Reflect => 'reflections',
            Effect::PickOut => 'details picked out',
            Effect::Mark => 'decals',
            Effect::MarkWear => 'decals cut into with wear',
            Effect::MarkSettled => 'decals settled into the surface',
            Effect::Letter => 'suggested lettering',
            Effect::LetterFull => 'real lettering',
            Effect::WearDrawn => 'drawn wear',
            Effect::Value => 'light from above under the colour',
            Effect::Protect => 'matt varnish',
            Effect::GroundTexture => 'basing, textured',
            Effect::GroundColour => 'basing, painted',
            Effect::GroundShade => 'basing, shaded',
            Effect::GroundLight => 'basing, drybrushed',
            Effect::GroundPlants => 'tufts on the base',
            Effect::GroundWet => 'wet ground on the base',
            Effect::GroundScene => 'a scene on the base',
            Effect::GroundTie => 'base colour carried up onto the model',
            Effect::Rim => 'a painted rim',
            Effect::Check => 'the final look',
            Effect::Undercoat => 'undercoat',
            Effect::Prepare => 'preparation',
            Effect::Join => 'parts joined',
            Effect::Tidy => 'tidied recesses',
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::BaseColour, Effect::Tint,
            Effect::TintOver, Effect::Tone, Effect::Texture, Effect::Glow, Effect::Freehand, Effect::Wear,
            Effect::Grime, Effect::Gloss, Effect::GlossGround => self::plain($effect->value),
        };
    }

    /** What a client sees of an effect. */
    public static function effectForClients(Effect $effect): string
    {
        return match ($effect) {
            Effect::BaseColour => 'clean flat colour',
            Effect::Shade => 'shadows in the folds and gaps',
            Effect::HighlightRaised => 'raised parts catch the light',
            Effect::HighlightEdge => 'fine light lines along the edges',
            Effect::HighlightSpot => 'a last spark of light on the sharpest points',
            Effect::Blend => 'soft transitions from dark to light',
            Effect::TintOver => 'clear colour over a light spot',
            Effect::Tone => 'finished lights toned together',
            Effect::Tint => 'a hint of a second colour in the shadows',
            Effect::Texture => 'painted texture, such as weave or grain',
            Effect::Separate => 'dark lines where two parts meet',
            Effect::SeparateTinted => 'lines where two parts meet, in a deep shade of the colour itself',
            Effect::Reflect => 'painted reflections on shiny surfaces',
            Effect::Glow => 'light that seems to shine onto the parts around it',
            Effect::PickOut => 'small details in their own colour',
            Effect::Mark => 'emblems and numbers',
            Effect::MarkWear => 'emblems that look worn',
            Effect::MarkSettled => 'emblems that look painted on',
            Effect::Letter => 'writing that is hinted at',
            Effect::LetterFull => 'writing that can be read',
            Effect::Freehand => 'patterns painted by hand',
            Effect::Wear => 'chipped and worn edges',
            Effect::WearDrawn => 'scratches and chips drawn one by one',
            Effect::Grime => 'dust, mud or rust',
            Effect::Gloss => 'glossy lenses and gems',
            Effect::Undercoat => 'an even undercoat',
            Effect::Protect => 'matt varnish, so that it can be handled',
            Effect::GroundTexture => 'a textured base',
            Effect::GroundColour => 'a painted base',
            Effect::GroundShade => 'a base with depth',
            Effect::GroundLight => 'a base with light on the raised parts',
            Effect::GroundPlants => 'tufts of grass on the base',
            Effect::GroundWet => 'wet ground on the base',
            Effect::GroundScene => 'a small scene on the base',
            Effect::GroundTie => 'dust from the base on the feet',
            Effect::Rim => 'a neat rim on the base',
            Effect::Check => 'a last look over every model',
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::GlossGround, Effect::Tidy,
            Effect::Value, Effect::Join, Effect::Prepare => self::plain($effect->value),
        };
    }

    public static function extent(Extent $extent): string
    {
        return match ($extent) {
            Extent::None => 'nowhere',
            Extent::Spot => 'in a spot',
            Extent::Prominent => 'where it stands out most',
            Extent::Full => 'everywhere',
        };
    }

    public static function place(Place $place): string
    {
        return match ($place) {
            Place::Recesses => 'in the recesses',
            Place::Seams => 'along the seams',
            Place::Upper => 'on the upper parts',
            Place::Lower => 'on the lower parts',
            Place::Tips => 'on the tips',
            Place::Rim => 'along the rim',
            Place::Centre => 'in the centre',
            Place::InnerThreeQuarters => 'on the inner three quarters',
            Place::OuterQuarter => 'on the outer quarter',
            Place::TowardsFront => 'towards the front',
        };
    }

    public static function criterion(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::TonalSpan => 'contrast from dark to light',
            Criterion::Tones => 'tones told apart',
            Criterion::LightFromAbove => 'light from above',
            Criterion::LineShare => 'share of the edge with a line',
            Criterion::BaseColour => 'base colour off the scheme',
            Criterion::ColourDrift => 'colour drift over the unit',
            Criterion::HardStep => 'stark layers',
            Criterion::BarePrimer => 'bare undercoat',
            Criterion::LineWidth => 'width of lines',
            Criterion::LastLight => 'last light over the base colour',
        };
    }

    public static function status(TechniqueStatus $status): string
    {
        return match ($status) {
            TechniqueStatus::Required => 'needed',
            TechniqueStatus::Allowed => 'allowed',
            TechniqueStatus::OnRequest => 'on request',
            TechniqueStatus::NotOffered => 'not offered',
            TechniqueStatus::ToAgree => 'to agree with the client',
        };
    }

    /** A word of the formats as it is read aloud, where painters have no other. */
    public static function plain(string $word): string
    {
        return str_replace('_', ' ', $word);
    }

    public static function material(Material $material): string
    {
        return match ($material) {
            Material::HairFur => 'hair and fur',
            Material::BoneHorn => 'bone and horn',
            Material::ScaleChitin => 'scale and chitin',
            Material::GemLens => 'gems and lenses',
            Material::Eye => 'eyes',
            Material::TeethClaw => 'teeth and claws',
            Material::Plate, Material::Cloth, Material::Leather, Material::Skin, Material::Wood, Material::Stone,
            Material::Steel, Material::Gold, Material::Copper, Material::Glow, Material::Parchment,
            Material::Undersuit, Material::Ground, Material::Rim => $material->value,
        };
    }

    public static function relief(Relief $relief): string
    {
        return match ($relief) {
            Relief::OpenPanel => 'open panels',
            Relief::HardEdges, Relief::SoftFolds, Relief::DeepRecesses, Relief::FineTexture, Relief::Organic,
            Relief::Rivets, Relief::TinyDetail, Relief::Joints, Relief::Ground,
            Relief::Rim => self::plain($relief->value),
        };
    }

    /** What a surface is like: its material and the forms of it. */
    public static function surface(Area $area): string
    {
        return self::material($area->material).
            ' with '.
            self::any(array_map(self::relief(...), $area->relief), ' and ');
    }

    public static function family(Family $family): string
    {
        return match ($family) {
            Family::Prepare => 'preparation',
            Family::Spray => 'spraying',
            Family::Base => 'base colours',
            Family::Shade => 'shades',
            Family::Highlight => 'highlights',
            Family::Blend => 'blends',
            Family::Line => 'lines',
            Family::Detail => 'details',
            Family::Mark => 'marks',
            Family::Protect => 'varnish',
            Family::Ground => 'basing',
            Family::Check => 'checks',
            Family::Undercoat, Family::Wear => $family->value,
        };
    }

    public static function gate(Gate $gate): string
    {
        return match ($gate) {
            Gate::TestModel => 'test model',
            Gate::BeforeVarnish => 'before varnish',
            Gate::Final => 'the final look',
            Gate::Prepared, Gate::Undercoated, Gate::Joined => $gate->value,
        };
    }

    public static function stage(Stage $stage): string
    {
        return match ($stage) {
            Stage::OnBench => 'on the bench',
            Stage::Offered => 'offered to the check',
            Stage::Rework => 'back for rework',
            Stage::OnHold => 'on hold',
            Stage::Planned, Stage::Passed, Stage::Signed, Stage::Delivered, Stage::Lost,
            Stage::Cancelled => $stage->value,
        };
    }

    public static function orderStatus(OrderStatus $status): string
    {
        return match ($status) {
            OrderStatus::Draft => 'enquiry',
            OrderStatus::Quoted => 'quoted',
            OrderStatus::Accepted => 'accepted',
            OrderStatus::InWork => 'in work',
            OrderStatus::Done => 'done',
            OrderStatus::Delivered => 'delivered',
            OrderStatus::Closed => 'closed',
            OrderStatus::Cancelled => 'cancelled',
        };
    }

    /** What an order that goes to the bench still lacks of an agreement; null: nothing. */
    public static function notAgreed(OrderStatus $status): ?string
    {
        return match ($status) {
            OrderStatus::Draft => 'The order is an enquiry: nobody has agreed to it.',
            OrderStatus::Quoted => 'The client has not accepted the quote.',
            OrderStatus::Accepted,
            OrderStatus::InWork,
            OrderStatus::Done,
            OrderStatus::Delivered,
            OrderStatus::Closed,
            OrderStatus::Cancelled => null,
        };
    }

    public static function move(StageMove $move): string
    {
        return match ($move) {
            StageMove::Hold => 'put on hold',
            StageMove::Resume => 'take up again',
            StageMove::Lose => 'lost',
            StageMove::Cancel => 'cancel',
            StageMove::Deliver => 'deliver',
            StageMove::Claim => 'claim',
        };
    }

    public static function severity(?Severity $severity): string
    {
        return $severity === null ? 'note' : $severity->value;
    }

    /** Why a step stands where it stands. */
    public static function rule(Rule $rule): string
    {
        return match ($rule) {
            Rule::Phase => 'what lies under comes first',
            Rule::LightLast => 'light goes from broad and dark to narrow and bright',
            Rule::MessFirst => 'what strays onto neighbours comes before their neat work',
            Rule::InnerFirst => 'base colours go from the innermost layer outwards, sprayed before brushed',
            Rule::InnerFinished => 'inner areas are washed and drybrushed before the neat work on top of them is begun',
            Rule::TouchUpFirst => 'what shows its ground is laid only over a ground that was put right',
            Rule::WhileWet => 'it goes into what is still wet',
            Rule::JoinLate => 'kept-apart parts are finished before they are joined, and the joint is tidied after',
            Rule::DryThrough => 'nothing goes over a coat that is still wet',
            Rule::RingThenGem => 'a gem comes after the ring it sits in',
            Rule::SkinThenTeeth => 'teeth, nails and eyes come after the shade of the skin around them',
            Rule::MarkSurface => 'a decal wants gloss under it, or a wash that is still wet',
            Rule::SealMarks => 'varnish seals the marks',
            Rule::MetalsPolicy => 'the method says when metals are painted',
            Rule::GroundPolicy => 'the method says when the ground is painted',
            Rule::RimLast => 'the rim is the last paint on the model',
            Rule::SamePot => 'the same pot is still open',
        };
    }

    /** Minutes as they are written everywhere: tenths below three, then whole ones, hours from two hours on. */
    public static function minutes(float $minutes): string
    {
        $whole = (int) round($minutes);

        return match (true) {
            $minutes > 0.0 && $minutes < 2.95 => sprintf('%.1f min', max(0.1, $minutes)),
            $whole < 120 => "$whole min",
            default => sprintf('%d h %02d', intdiv($whole, 60), $whole % 60),
        };
    }

    /** @param  list<string>  $words */
    public static function any(array $words, string $last = ' or '): string
    {
        $end = array_pop($words);

        return $words === [] ? (string) $end : implode(', ', $words).$last.$end;
    }

    public static function passes(int $passes): string
    {
        return $passes > 1 ? " in $passes passes" : '';
    }

    /** A figure without the zeros behind it. */
    public static function number(float $n): string
    {
        return rtrim(rtrim(number_format($n, 2, '.', ''), '0'), '.');
    }

    public static function capital(string $words): string
    {
        return mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }

    public static function sentence(string $words): string
    {
        $words = self::capital($words);

        return preg_match('/[.!?]$/', $words) === 1 ? $words : "$words.";
    }

    public static function unit(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::TonalSpan, Criterion::LastLight => ' L*',
            Criterion::LineShare, Criterion::BarePrimer => ' %',
            Criterion::BaseColour, Criterion::ColourDrift => ' ΔE',
            Criterion::LineWidth => ' mm',
            Criterion::Tones, Criterion::LightFromAbove, Criterion::HardStep => '',
        };
    }
}
