<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
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
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** The ladder as a table: rows by bench phase, then finish, then acceptance and minutes; a column for each tier. */
final readonly class Grid
{
    private const GROUPS = [
        'Preparation',
        'Colour',
        'Shade',
        'Light',
        'Lines',
        'Detail',
        'Marks',
        'Wear',
        'Protection',
        'Base',
        'Allowed',
        'Finish',
        'Check',
        'Limits',
    ];

    public function __construct(private Standard $standard)
    {
    }

    /** @return list<Tier> from the lowest rung up */
    public function tiers(): array
    {
        $tiers = $this->standard->tiers;
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);

        return $tiers;
    }

    /** @return list<Row> */
    public function rows(): array
    {
        $tiers = $this->tiers();
        $clauses = [];
        $suffixes = [];
        foreach ($tiers as $tier) {
            foreach ($this->standard->clausesOf($tier) as $clause) {
                $clauses[$tier->key][$clause->suffix()] = $clause;
                $suffixes[$clause->suffix()] ??= $clause;
            }
        }
        $rows = [];
        foreach ($suffixes as $suffix => $first) {
            $cells = [];
            $below = null;
            foreach ($tiers as $tier) {
                $clause = $clauses[$tier->key][$suffix] ?? null;
                $own = $clause !== null && in_array($clause, $tier->clauses, true);
                $asBefore = $clause !== null && $below !== null && $clause->saysTheSame($below);
                $cells[] = new Cell($tier->key, (string) $suffix, $clause, $own, $asBefore);
                // A retired rung is folded away, so nothing is compared with it.
                $below = $tier->status === TierStatus::Retired ? $below : $clause;
            }
            $rows[] = new Row((string) $suffix, $this->group($first), $cells);
        }
        $place = array_flip(self::GROUPS);
        $order = array_flip(array_map(strval(...), array_keys($suffixes)));
        usort(
            $rows,
            fn (Row $a, Row $b) => [$place[$a->group], $order[$a->suffix]] <=> [$place[$b->group], $order[$b->suffix]],
        );

        return $rows;
    }

    private function group(Clause $clause): string
    {
        return match (true) {
            $clause instanceof StepsClause, $clause instanceof SprayedColoursClause => 'Colour',
            $clause instanceof FinishClause => 'Finish',
            $clause instanceof AcceptanceClause, $clause instanceof SkillClause => 'Check',
            $clause instanceof MinutesClause => 'Limits',
            $clause instanceof TechniqueClause && $clause->status === TechniqueStatus::Allowed => 'Allowed',
            $clause instanceof TechniqueClause && $clause->technique !== null => self::phaseGroup(
                Phase::of($this->standard->technique($clause->technique)),
            ),
            $clause instanceof EffectClause => $this->effectGroup($clause->effects[0]),
            default => 'Allowed',
        };
    }

    private function effectGroup(Effect $effect): string
    {
        return match ($effect) {
            Effect::Shade => 'Shade',
            Effect::HighlightEdge,
            Effect::HighlightRaised,
            Effect::Blend,
            Effect::Tint,
            Effect::Texture,
            Effect::Reflect => 'Light',
            Effect::HighlightSpot, Effect::Glow, Effect::PickOut => 'Detail',
            default => self::phaseGroup(Phase::of($this->giver($effect))),
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

    private static function phaseGroup(Phase $phase): string
    {
        return match ($phase) {
            Phase::Prepare, Phase::Undercoat, Phase::Value => 'Preparation',
            Phase::Underlay, Phase::Base, Phase::SprayFade => 'Colour',
            Phase::Shade => 'Shade',
            Phase::Tidy, Phase::RaisedLight, Phase::BlendAndTint, Phase::EdgeLight, Phase::PointLight => 'Light',
            Phase::Lines => 'Lines',
            Phase::Detail => 'Detail',
            Phase::DecalGloss, Phase::Mark => 'Marks',
            Phase::Wear => 'Wear',
            Phase::MattVarnish, Phase::Gloss, Phase::Check, Phase::Join => 'Protection',
            default => 'Base',
        };
    }
}
