<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/** Clauses, effects and extents in words, for painters and for clients. */
final class Words
{
    /** A whole clause as one sentence without its full stop, in the painter's terms. */
    public static function clause(Clause $clause, Standard $standard): string
    {
        $where = self::scope($clause->scope());
        $on = $where === '' ? '' : ", on $where";

        return match (true) {
            $clause instanceof StepsClause => ($clause->max === null
                ? "$clause->min or more"
                : "$clause->min to $clause->max")." colour steps$on",
            $clause instanceof SprayedColoursClause => ($clause->min === $clause->max
                ? "$clause->min"
                : "$clause->min to $clause->max").' sprayed colours',
            $clause instanceof EffectClause => implode(' or ', array_map(self::effect(...), $clause->effects)).
                ' '.
                self::extent($clause->extent()).
                self::passes($clause->passes()).
                $on.
                ($clause->by === null
                    ? ''
                    : ', by '.
                        implode(' or ', array_map(fn (string $key) => self::technique($key, $standard), $clause->by))),
            $clause instanceof TechniqueClause => ($clause->technique === null
                ? "everything of the family {$clause->family?->value}"
                : self::technique($clause->technique, $standard)).
                ' '.
                self::status($clause->status).
                ($clause->status === TechniqueStatus::Required
                    ? ' '.self::extent($clause->extent()).self::passes($clause->passes())
                    : '').
                ($clause->price === null ? '' : ", at $clause->price $standard->currency").
                $on,
            $clause instanceof FinishClause => self::criterion($clause->criterion).
                ' '.
                (self::atLeast($clause->criterion) ? 'at least' : 'at most').
                ' '.
                self::number($clause->limit).
                self::unit($clause->criterion).
                $on,
            $clause instanceof AcceptanceClause => ($clause->sampled
                ? 'a sample is checked'
                : 'every model is checked').
                ", {$clause->limits['minor']} minor and {$clause->limits['major']} major faults pass, ".
                count($clause->views).
                ' views',
            $clause instanceof MinutesClause => 'at most '.
                self::number($clause->max).
                ' minutes a model, '.
                implode(', ', array_map(fn ($s) => $s->value, $clause->size)),
            $clause instanceof SkillClause => "painted by someone of skill $clause->min or more",
            default => $clause->id,
        };
    }

    public static function scope(Scope $scope): string
    {
        $words = [];
        foreach ([$scope->role, $scope->size, $scope->rank, $scope->material] as $list) {
            if ($list !== null) {
                $words[] = implode(' or ', array_map(fn ($w) => self::plain($w->value), $list));
            }
        }
        if ($scope->relief !== null) {
            $words[] = 'with '.implode(' or ', array_map(fn ($w) => self::plain($w->value), $scope->relief));
        }
        if ($scope->facing !== null) {
            $words[] = 'facing '.implode(' or ', array_map(fn ($w) => $w->value, $scope->facing));
        }
        if ($scope->area !== null) {
            $words[] = implode(' or ', array_map(self::plain(...), $scope->area));
        }
        if ($scope->focusMin !== null) {
            $words[] = "focus $scope->focusMin and up";
        }
        if ($scope->except !== null) {
            $words[] = 'except '.self::scope($scope->except);
        }

        return implode(', ', $words);
    }

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
            default => self::plain($effect->value),
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
            default => self::plain($effect->value),
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

    public static function atLeast(Criterion $criterion): bool
    {
        return in_array(
            $criterion,
            [
                Criterion::TonalSpan,
                Criterion::Tones,
                Criterion::LightFromAbove,
                Criterion::LineShare,
                Criterion::LastLight,
            ],
            true,
        );
    }

    public static function plain(string $word): string
    {
        return str_replace('_', ' ', $word);
    }

    private static function unit(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::TonalSpan, Criterion::LastLight => ' L*',
            Criterion::LineShare, Criterion::BarePrimer => ' %',
            Criterion::BaseColour, Criterion::ColourDrift => ' ΔE',
            Criterion::LineWidth => ' mm',
            default => '',
        };
    }

    private static function technique(string $key, Standard $standard): string
    {
        return mb_strtolower($standard->hasTechnique($key) ? $standard->technique($key)->name : self::plain($key));
    }

    private static function passes(int $passes): string
    {
        return $passes > 1 ? " in $passes passes" : '';
    }

    private static function number(float $n): string
    {
        return rtrim(rtrim(number_format($n, 2, '.', ''), '0'), '.');
    }
}
