<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Family;
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
            $rows[] = $this->row((string) $suffix, $cells, $first);
        }
        $order = array_flip(array_map(strval(...), array_keys($suffixes)));
        usort($rows, fn (Row $a, Row $b) => self::place($a, $order) <=> self::place($b, $order));

        return $rows;
    }

    /**
     * @param  list<Cell>  $cells
     * @param  Clause  $first  the lowest rung's
     */
    private function row(string $suffix, array $cells, Clause $first): Row
    {
        $clauses = array_values(array_filter(array_map(fn (Cell $c) => $c->clause, $cells)));
        foreach ($clauses as $clause) {
            if (! self::merelyAllows($clause)) {
                return new Row($suffix, $this->group($clause), $cells);
            }
        }
        assert($first instanceof TechniqueClause);
        $family = $first->technique === null ? $first->family : $this->standard->technique($first->technique)->family;

        return new Row($suffix, 'Allowed', $cells, $family, $first->technique === null);
    }

    /** A clause that asks for nothing: it lets techniques be used, or shuts them out. */
    private static function merelyAllows(Clause $clause): bool
    {
        return $clause instanceof TechniqueClause &&
            in_array($clause->status, [TechniqueStatus::Allowed, TechniqueStatus::NotOffered], true);
    }

    /**
     * By the bench; what is merely allowed by family, the family as such first; else as the tiers have it.
     *
     * @param  array<string, int>  $order  of the suffixes
     * @return array{int, int, int, int}
     */
    private static function place(Row $row, array $order): array
    {
        return [
            (int) array_search($row->group, self::GROUPS, true),
            $row->family === null ? -1 : (int) array_search($row->family, Family::cases(), true),
            $row->ofWholeFamily ? 0 : 1,
            $order[$row->suffix],
        ];
    }

    private function group(Clause $clause): string
    {
        return match (true) {
            $clause instanceof StepsClause, $clause instanceof SprayedColoursClause => 'Colour',
            $clause instanceof FinishClause => 'Finish',
            $clause instanceof AcceptanceClause, $clause instanceof SkillClause => 'Check',
            $clause instanceof MinutesClause => 'Limits',
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
            Effect::Tone,
            Effect::Texture,
            Effect::Reflect => 'Light',
            Effect::HighlightSpot, Effect::TintOver, Effect::Glow, Effect::PickOut => 'Detail',
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
