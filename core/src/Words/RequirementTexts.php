<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\RequirementVisitor;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;

/**
 * Each kind of requirement in words: for painters, in a check, and for clients.
 *
 * @implements RequirementVisitor<RequirementText>
 */
final readonly class RequirementTexts implements RequirementVisitor
{
    public function __construct(private ClauseWords $words)
    {
    }

    public function steps(StepsRequirement $asked): RequirementText
    {
        $plain = $asked->min > 1 ? "at least $asked->min shades from dark to light" : null;

        return new RequirementText(
            'colour steps',
            $asked->min.($asked->max === null ? ' colour steps or more' : " to $asked->max colour steps"),
            self::range($asked->min, $asked->max),
            $asked->min === 1
                ? 'A colour of its own can be told'
                : "$asked->min colour steps or more can be told apart",
            client: $plain,
            clientMore: $plain,
        );
    }

    public function effect(EffectRequirement $asked): RequirementText
    {
        $subject = Terms::any(array_map(Terms::effect(...), $asked->effects));
        $by = $asked->by === null ? '' : ' by '.Terms::any(array_map($this->words->techniqueName(...), $asked->by));
        $amount = Terms::extent($asked->extent).Terms::passes($asked->passes).$by;
        $plain = Terms::any(array_map(Terms::effectForClients(...), $asked->effects));

        return new RequirementText(
            $subject,
            "$subject $amount",
            $amount,
            ucfirst(Terms::any(array_map(self::seen(...), $asked->effects), ', or ')),
            self::extent($asked->extent),
            $this->words->places($asked->reasons).self::passes($asked->passes),
            $plain,
            "more of this: $plain",
        );
    }

    public function technique(TechniqueRequirement $asked): RequirementText
    {
        $name = $this->words->techniqueName($asked->technique);
        $amount = Terms::extent($asked->extent).Terms::passes($asked->passes);

        return new RequirementText(
            $name,
            "$name $amount",
            $amount,
            ucfirst($name).($asked->area === null ? ' was done' : ' is there'),
            '',
            $this->words->places($asked->reasons).self::passes($asked->passes),
            $name,
            "more of this: $name",
        );
    }

    public function finish(FinishRequirement $asked): RequirementText
    {
        $subject = Terms::criterion($asked->criterion);
        [$client, $more] = self::forClients($asked->criterion);

        return new RequirementText(
            $subject,
            $subject,
            $asked->criterion->isFloor() ? self::range($asked->limit, null) : self::range(null, $asked->limit),
            self::reached($asked),
            client: $client,
            clientMore: $more,
        );
    }

    public function model(ModelRequirement $asked): RequirementText
    {
        $subject = match ($asked->figure) {
            ModelFigure::SprayedColours => 'sprayed colours',
            ModelFigure::Minutes => 'hand minutes',
            ModelFigure::Skill => 'skill',
        };
        $plain = match ($asked->figure) {
            ModelFigure::SprayedColours => ($asked->min ?? 0) > 0 ? "at least $asked->min sprayed colours" : null,
            ModelFigure::Minutes, ModelFigure::Skill => null,
        };

        return new RequirementText(
            $subject,
            $subject,
            self::range($asked->min, $asked->max),
            ucfirst("$subject as agreed"),
            client: $plain,
            clientMore: $plain,
        );
    }

    /** @return array{string|null, string|null} plainly, and where there was some of it before */
    private static function forClients(Criterion $criterion): array
    {
        return match ($criterion) {
            Criterion::TonalSpan => [
                'clear contrast between light and shadow',
                'stronger contrast between light and shadow',
            ],
            Criterion::HardStep => ['smoother transitions', 'smoother transitions'],
            Criterion::Tones, Criterion::LightFromAbove, Criterion::LineShare, Criterion::BaseColour,
            Criterion::ColourDrift, Criterion::BarePrimer, Criterion::LineWidth,
            Criterion::LastLight => [null, null],
        };
    }

    private static function range(?float $min, ?float $max): string
    {
        return match (true) {
            $min !== null && $max !== null => "$min to $max",
            $min !== null => "$min or more",
            default => "at most $max",
        };
    }

    private static function extent(Extent $extent): string
    {
        return match ($extent) {
            Extent::Full => ', everywhere',
            Extent::Prominent => ', where it stands out most',
            Extent::Spot => ', in one spot at least',
            Extent::None => '',
        };
    }

    private static function passes(int $passes): string
    {
        return $passes > 1 ? ", in $passes passes" : '';
    }

    private static function seen(Effect $effect): string
    {
        return match ($effect) {
            Effect::BaseColour => 'the base colour covers',
            Effect::Shade => 'shade lies in the recesses',
            Effect::HighlightRaised => 'raised forms are lightened',
            Effect::HighlightEdge => 'a light line along the edges',
            Effect::HighlightSpot => 'a point of light',
            Effect::Blend => 'the tones blend into one another',
            Effect::Separate => 'a dark line between the parts',
            Effect::SeparateTinted => 'a tinted dark line between the parts',
            Effect::PickOut => 'the detail is picked out',
            Effect::Reflect => 'reflections on the metal',
            Effect::Letter => 'writing is suggested',
            Effect::LetterFull => 'the writing can be read',
            Effect::Mark => 'the decals are there',
            Effect::GroundTexture => 'the base has texture',
            Effect::GroundColour => 'the base is painted',
            Effect::GroundShade => 'the base is shaded',
            Effect::GroundLight => 'the base is lightened',
            Effect::GroundPlants => 'there are tufts',
            Effect::Rim => 'the rim is painted',
            Effect::Undercoat => 'the undercoat is on, even and smooth',
            Effect::Protect => 'the varnish is on',
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::Tint, Effect::TintOver,
            Effect::Tone, Effect::Texture, Effect::Glow, Effect::MarkWear, Effect::MarkSettled, Effect::Freehand,
            Effect::Wear, Effect::WearDrawn, Effect::Grime, Effect::Gloss, Effect::GlossGround, Effect::Tidy,
            Effect::Value, Effect::GroundWet, Effect::GroundScene, Effect::GroundTie, Effect::Join,
            Effect::Prepare, Effect::Check => 'there is '.Terms::effect($effect),
        };
    }

    private static function reached(FinishRequirement $r): string
    {
        $limit = Terms::number($r->limit);

        return match ($r->criterion) {
            Criterion::TonalSpan => 'Clear contrast from dark to light',
            Criterion::Tones => "$limit tones or more can be told apart",
            Criterion::LightFromAbove => 'The light falls from above',
            Criterion::LineShare => 'The lines run along the edges without gaps',
            Criterion::BaseColour => 'The colour is that of the scheme',
            Criterion::ColourDrift => 'The colours match the rest of the unit',
            Criterion::HardStep => 'No stark layers',
            Criterion::BarePrimer => 'No undercoat is left bare',
            Criterion::LineWidth => 'The lines are fine enough',
            Criterion::LastLight => 'The last light is bright enough',
        };
    }
}
