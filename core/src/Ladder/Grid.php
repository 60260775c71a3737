<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Criterion;
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
            $varies = self::effectsVary(array_map(fn (Tier $t) => $clauses[$t->key][$suffix] ?? null, $tiers));
            $cells = [];
            $below = null;
            $label = null;
            foreach ($tiers as $tier) {
                $clause = $clauses[$tier->key][$suffix] ?? null;
                $cells[] = new Cell(
                    $tier->key,
                    (string) $suffix,
                    $clause,
                    $clause !== null && in_array($clause, $tier->clauses, true),
                    $clause !== null && $below !== null && self::sameDemand($clause, $below),
                    $clause === null
                        ? ''
                        : ($varies && $clause instanceof EffectClause
                            ? self::effect($clause)
                            : $this->words($clause)),
                );
                // A retired rung is folded away, so nothing is compared with it.
                $below = $tier->status === TierStatus::Retired ? $below : $clause;
                $label ??= $clause?->label;
            }
            $rows[] = new Row(
                (string) $suffix,
                $this->group($first),
                $label ?? str_replace(['.', '_'], ' ', (string) $suffix),
                $cells,
            );
        }
        $place = array_flip(self::GROUPS);
        $order = array_flip(array_map(strval(...), array_keys($suffixes)));
        usort(
            $rows,
            fn (Row $a, Row $b) => [$place[$a->group], $order[$a->suffix]] <=> [$place[$b->group], $order[$b->suffix]],
        );

        return $rows;
    }

    /** A clause in the few words that fit a cell; extent, passes and status are shown by marks beside them. */
    public function words(Clause $clause): string
    {
        return match (true) {
            $clause instanceof StepsClause => $clause->max === null
                ? "$clause->min or more"
                : "{$clause->min}–{$clause->max}",
            $clause instanceof SprayedColoursClause => $clause->min === $clause->max
                ? (string) $clause->min
                : "{$clause->min}–{$clause->max}",
            $clause instanceof EffectClause => self::where($clause),
            $clause instanceof TechniqueClause => match ($clause->status) {
                TechniqueStatus::Required => self::where($clause),
                TechniqueStatus::Allowed => 'allowed',
                TechniqueStatus::OnRequest => 'on request',
                TechniqueStatus::NotOffered => 'not offered',
                TechniqueStatus::ToAgree => 'to agree',
            },
            $clause instanceof FinishClause => self::finish($clause),
            $clause instanceof AcceptanceClause => "{$clause->limits['minor']} minor, ".
                count($clause->views).
                ' views',
            $clause instanceof MinutesClause => "$clause->max min",
            $clause instanceof SkillClause => "skill $clause->min",
            default => '',
        };
    }

    /**
     * Where the rungs of a row ask for different effects, the effect is what tells them apart.
     *
     * @param  list<Clause|null>  $clauses
     */
    private static function effectsVary(array $clauses): bool
    {
        $asked = [];
        foreach ($clauses as $clause) {
            if ($clause instanceof EffectClause) {
                $asked[self::effect($clause)] = true;
            }
        }

        return count($asked) > 1;
    }

    private static function effect(EffectClause $clause): string
    {
        return implode(
            ' or ',
            array_map(
                fn (Effect $e) => match ($e) {
                    Effect::Separate => 'neutral',
                    Effect::SeparateTinted => 'tinted to the surface',
                    Effect::Letter => 'suggested',
                    Effect::LetterFull => 'real writing',
                    default => str_replace('_', ' ', $e->value),
                },
                $clause->effects,
            ),
        );
    }

    private static function where(Clause $clause): string
    {
        $scope = $clause->scope();
        $parts = array_map(fn ($word) => str_replace('_', ' ', $word->value), [
            ...$scope->material ?? [],
            ...$scope->relief ?? [],
        ]);
        if ($parts === []) {
            $parts = array_map(fn ($rank) => $rank->value, $scope->rank ?? []);
        }
        if ($scope->focusMin !== null) {
            $parts[] = "focus $scope->focusMin up";
        }

        return $parts === [] ? 'everywhere' : (count($parts) > 2 ? "$parts[0], $parts[1] …" : implode(', ', $parts));
    }

    private static function finish(FinishClause $clause): string
    {
        return match ($clause->criterion) {
            Criterion::TonalSpan => "at least $clause->limit",
            Criterion::LineWidth => "at most $clause->limit mm",
            Criterion::BarePrimer => "at most $clause->limit %",
            Criterion::LineShare => "at least $clause->limit %",
            Criterion::ColourDrift, Criterion::BaseColour, Criterion::HardStep => "at most $clause->limit",
            default => "at least $clause->limit",
        };
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

    private static function sameDemand(Clause $one, Clause $other): bool
    {
        $demand = function (Clause $clause): string {
            $written = ClauseFormat::write($clause);
            unset($written->id, $written->label, $written->client_text, $written->severity);

            return Json::canonical($written);
        };

        return $demand($one) === $demand($other);
    }
}
