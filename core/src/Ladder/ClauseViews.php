<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseVisitor;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use WeakMap;

/**
 * What the ladder looks at of each kind of clause. Each is asked once a clause.
 *
 * @implements ClauseVisitor<ClauseView>
 */
final readonly class ClauseViews implements ClauseVisitor
{
    /** @var array<string, true> effects that some technique gives area by area */
    private array $onAreas;

    /** @var WeakMap<Clause, ClauseView> */
    private WeakMap $seen;

    public function __construct(private Standard $standard)
    {
        $onAreas = [];
        foreach ($standard->techniques as $technique) {
            $onAreas += $technique->whole ? [] : array_fill_keys(array_keys($technique->effects), true);
        }
        $this->onAreas = $onAreas;
        /** @var WeakMap<Clause, ClauseView> $seen */
        $seen = new WeakMap();
        $this->seen = $seen;
    }

    public function of(Clause $clause): ClauseView
    {
        return $this->seen[$clause] ??= $clause->accept($this);
    }

    /** Whether an effect clause speaks of areas; else it is met once for the whole model. */
    public function isOnAreas(EffectClause $clause): bool
    {
        return array_filter($clause->effects, fn (Effect $e) => isset($this->onAreas[$e->value])) !== [];
    }

    public function steps(StepsClause $clause): ClauseView
    {
        return new ClauseView(
            RowGroup::Colour,
            isOfPaint: true,
            hasFloor: $clause->min > 0,
            isLookedFor: true,
            lowersBar: true,
            sameness: 'steps '.serialize($clause->scope()).' '.($clause->max ?? ''),
            range: [$clause->min, $clause->max],
        );
    }

    public function sprayedColours(SprayedColoursClause $clause): ClauseView
    {
        return new ClauseView(
            RowGroup::Colour,
            isOfPaint: false,
            hasFloor: $clause->min > 0,
            isLookedFor: false,
            lowersBar: false,
            sameness: $clause->sayingKey(),
            range: [$clause->min, $clause->max],
        );
    }

    public function effect(EffectClause $clause): ClauseView
    {
        $isOnAreas = $this->isOnAreas($clause);

        return new ClauseView(
            $this->groupOf($clause->effects[0]),
            isOfPaint: $isOnAreas,
            hasFloor: true,
            isLookedFor: $isOnAreas,
            lowersBar: true,
            sameness: null,
            effect: $clause,
        );
    }

    public function technique(TechniqueClause $clause): ClauseView
    {
        $technique = $clause->technique === null ? null : $this->standard->technique($clause->technique);

        return new ClauseView(
            $technique === null ? RowGroup::Allowed : self::groupOfPhase(Phase::of($technique)),
            isOfPaint: false,
            hasFloor: $clause->isRequired(),
            isLookedFor: $clause->isRequired(),
            lowersBar: false,
            sameness: $clause->sayingKey(),
            allows: match ($clause->status) {
                TechniqueStatus::Allowed, TechniqueStatus::NotOffered => $technique->family ?? $clause->family,
                TechniqueStatus::Required, TechniqueStatus::OnRequest, TechniqueStatus::ToAgree => null,
            },
            technique: $clause,
        );
    }

    public function finish(FinishClause $clause): ClauseView
    {
        return new ClauseView(
            RowGroup::Finish,
            isOfPaint: true,
            hasFloor: true,
            isLookedFor: true,
            lowersBar: false,
            sameness: $clause->sayingKey(),
        );
    }

    public function acceptance(AcceptanceClause $clause): ClauseView
    {
        return self::ofModel(RowGroup::Check, false, $clause);
    }

    public function minutes(MinutesClause $clause): ClauseView
    {
        return self::ofModel(RowGroup::Limits, false, $clause);
    }

    public function skill(SkillClause $clause): ClauseView
    {
        return self::ofModel(RowGroup::Check, $clause->min > 0, $clause);
    }

    private static function ofModel(RowGroup $group, bool $hasFloor, Clause $clause): ClauseView
    {
        return new ClauseView(
            $group,
            isOfPaint: false,
            hasFloor: $hasFloor,
            isLookedFor: false,
            lowersBar: false,
            sameness: $clause->sayingKey(),
        );
    }

    private function groupOf(Effect $effect): RowGroup
    {
        return match ($effect) {
            Effect::Shade => RowGroup::Shade,
            Effect::HighlightEdge, Effect::HighlightRaised, Effect::Blend, Effect::Tint, Effect::Tone,
            Effect::Texture, Effect::Reflect => RowGroup::Light,
            Effect::HighlightSpot, Effect::TintOver, Effect::Glow, Effect::PickOut => RowGroup::Detail,
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::BaseColour, Effect::Separate,
            Effect::SeparateTinted, Effect::Mark, Effect::MarkWear, Effect::Letter, Effect::LetterFull,
            Effect::MarkSettled, Effect::Freehand, Effect::Wear, Effect::WearDrawn, Effect::Grime, Effect::Gloss,
            Effect::GlossGround, Effect::Tidy, Effect::Undercoat, Effect::Value, Effect::Protect,
            Effect::GroundTexture, Effect::GroundColour, Effect::GroundShade, Effect::GroundLight,
            Effect::GroundPlants, Effect::GroundWet, Effect::GroundScene, Effect::GroundTie, Effect::Rim,
            Effect::Join, Effect::Prepare, Effect::Check => self::groupOfPhase(Phase::of($this->giver($effect))),
        };
    }

    private function giver(Effect $effect): Technique
    {
        foreach ($this->standard->techniques as $technique) {
            if ($technique->givesAny($effect)) {
                return $technique;
            }
        }

        return $this->standard->techniques[0];
    }

    private static function groupOfPhase(Phase $phase): RowGroup
    {
        return match ($phase) {
            Phase::Prepare, Phase::Undercoat, Phase::Value => RowGroup::Preparation,
            Phase::Underlay, Phase::Base, Phase::SprayFade => RowGroup::Colour,
            Phase::Shade => RowGroup::Shade,
            Phase::Tidy, Phase::RaisedLight, Phase::BlendAndTint, Phase::Tone, Phase::EdgeLight,
            Phase::PointLight => RowGroup::Light,
            Phase::Lines => RowGroup::Lines,
            Phase::TintOver, Phase::Detail => RowGroup::Detail,
            Phase::DecalGloss, Phase::Mark => RowGroup::Marks,
            Phase::Wear => RowGroup::Wear,
            Phase::MattVarnish, Phase::Gloss, Phase::Check, Phase::Join, Phase::JointTidy => RowGroup::Protection,
            Phase::GroundTexture, Phase::GroundColour, Phase::GroundShade, Phase::GroundLight, Phase::GroundScene,
            Phase::GroundPlants, Phase::Rim => RowGroup::Base,
        };
    }
}
