<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseVisitor;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\Place;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/**
 * Clauses in words: as a name, as a sentence, and as the few words that fit a cell of the ladder.
 *
 * @implements ClauseVisitor<ClauseText>
 */
final readonly class ClauseWords implements ClauseVisitor
{
    /**
     * @param  Sculpt|null  $sculpt  whose areas a scope may name; null: areas are called by their keys as they are
     * read
     */
    public function __construct(private Standard $standard, private ?Sculpt $sculpt = null)
    {
    }

    /** What a clause is called: the name of its row, or else what it asks. */
    public function name(Clause $clause): string
    {
        return $clause->label ?? $this->sentence($clause);
    }

    /** A whole clause as one sentence without its full stop, in the painter's terms. */
    public function sentence(Clause $clause): string
    {
        return $this->text($clause)->sentence;
    }

    public function text(Clause $clause): ClauseText
    {
        return $clause->accept($this);
    }

    public function scope(Scope $scope): string
    {
        $words = [];
        foreach ([$scope->role, $scope->size, $scope->rank] as $list) {
            $words[] = $list === null ? '' : Terms::any(array_map(fn ($w) => Terms::plain($w->value), $list));
        }
        $words[] = $scope->material === null ? '' : Terms::any(array_map(Terms::material(...), $scope->material));
        $words[] = $scope->relief === null ? '' : 'with '.Terms::any(array_map(Terms::relief(...), $scope->relief));
        $words[] =
            $scope->facing === null ? '' : 'facing '.Terms::any(array_map(fn ($w) => $w->value, $scope->facing));
        $words[] = $scope->area === null ? '' : Terms::any(array_map($this->areaName(...), $scope->area));
        $words[] = $scope->focusMin === null ? '' : "focus $scope->focusMin and up";
        $words[] = $scope->except === null ? '' : 'except '.$this->scope($scope->except);

        return implode(', ', array_filter($words, fn (string $w) => $w !== ''));
    }

    /** The name of a technique in the middle of a sentence. */
    public function techniqueName(string $key): string
    {
        return mb_strtolower(
            $this->standard->hasTechnique($key) ? $this->standard->technique($key)->name : Terms::plain($key),
        );
    }

    public function areaName(string $key): string
    {
        return mb_strtolower(
            $this->sculpt?->has($key) === true ? $this->sculpt->area($key)->name : Terms::plain($key),
        );
    }

    /**
     * Where on the areas, as the clauses say that ask for something; each after a comma.
     *
     * @param  list<Reason>  $reasons
     */
    public function places(array $reasons): string
    {
        $asking = array_flip(array_filter(array_map(fn (Reason $r) => $r->clause, $reasons)));
        $places = [];
        foreach ($asking === [] ? [] : $this->standard->tiers as $tier) {
            foreach ($tier->clauses as $clause) {
                $places[] = isset($asking[$clause->id]) ? $this->text($clause)->place : '';
            }
        }

        return implode('', array_unique($places));
    }

    /** Where a clause holds, in the few words that fit beside a mark. */
    public static function where(Clause $clause): string
    {
        $scope = $clause->scope();
        $parts = [
            ...array_map(Terms::material(...), $scope->material ?? []),
            ...array_map(Terms::relief(...), $scope->relief ?? []),
        ];
        if ($parts === []) {
            $parts = array_map(fn ($rank) => $rank->value, $scope->rank ?? []);
        }
        if ($scope->focusMin !== null) {
            $parts[] = "focus $scope->focusMin up";
        }

        return $parts === [] ? 'everywhere' : (count($parts) > 2 ? "$parts[0], $parts[1] …" : implode(', ', $parts));
    }

    public function steps(StepsClause $clause): ClauseText
    {
        return new ClauseText(
            self::range($clause->min, $clause->max).' colour steps'.$this->on($clause),
            self::shortRange($clause->min, $clause->max),
            'colour steps',
        );
    }

    public function sprayedColours(SprayedColoursClause $clause): ClauseText
    {
        return new ClauseText(
            self::range($clause->min, $clause->max).' sprayed colours',
            $clause->min === $clause->max ? (string) $clause->min : self::shortRange($clause->min, $clause->max),
            'sprayed colours',
        );
    }

    public function effect(EffectClause $clause): ClauseText
    {
        $effects = Terms::any(array_map(Terms::effect(...), $clause->effects));
        $place = self::place($clause->place);
        $by = $clause->by === null ? '' : ', by '.Terms::any(array_map($this->techniqueName(...), $clause->by));
        $how = Terms::extent($clause->extent()).Terms::passes($clause->passes());

        return new ClauseText(
            "$effects $how$place{$this->on($clause)}$by",
            self::where($clause),
            $effects,
            $place,
            Terms::any(array_map(self::which(...), $clause->effects)),
        );
    }

    public function technique(TechniqueClause $clause): ClauseText
    {
        $place = self::place($clause->place);
        $what = match (true) {
            $clause->technique !== null => $this->techniqueName($clause->technique),
            $clause->family !== null => 'every technique of '.Terms::family($clause->family),
            default => '',
        };
        $status = Terms::status($clause->status);
        $how = $clause->isRequired() ? ' '.Terms::extent($clause->extent()).Terms::passes($clause->passes()) : '';
        $price = $clause->price === null ? '' : ", at $clause->price {$this->standard->currency}";
        $minutes = $clause->minutes === null ? '' : ', '.Terms::minutes($clause->minutes).' a model';

        return new ClauseText(
            "$what $status$how$price$minutes$place{$this->on($clause)}",
            match ($clause->status) {
                TechniqueStatus::Required => self::where($clause),
                TechniqueStatus::ToAgree => 'to agree',
                TechniqueStatus::Allowed, TechniqueStatus::OnRequest, TechniqueStatus::NotOffered => $status,
            },
            $clause->technique === null
                ? 'all '.($clause->family === null ? 'techniques' : Terms::family($clause->family))
                : $what,
            $place,
        );
    }

    public function finish(FinishClause $clause): ClauseText
    {
        $criterion = Terms::criterion($clause->criterion);
        $limit = Terms::number($clause->limit);
        $bound = $clause->criterion->isFloor() ? 'at least' : 'at most';

        return new ClauseText(
            "$criterion $bound $limit".Terms::unit($clause->criterion).$this->on($clause),
            "$bound $limit".self::shortUnit($clause->criterion),
            $criterion,
        );
    }

    public function acceptance(AcceptanceClause $clause): ClauseText
    {
        $views = count($clause->views).(count($clause->views) === 1 ? ' view' : ' views');

        return new ClauseText(
            ($clause->sampled ? 'a sample is checked' : 'every model is checked').
                ", {$clause->limits['minor']} minor and {$clause->limits['major']} major faults pass, $views",
            "{$clause->limits['minor']} minor, $views",
            'faults that may pass',
        );
    }

    public function minutes(MinutesClause $clause): ClauseText
    {
        return new ClauseText(
            'at most '.
                Terms::number($clause->max).
                ' minutes a model, '.
                Terms::any(array_map(fn (Size $s) => $s->value, $clause->size)),
            Terms::minutes($clause->max),
            'minutes',
        );
    }

    public function skill(SkillClause $clause): ClauseText
    {
        return new ClauseText(
            "painted by someone of skill $clause->min or more",
            "skill $clause->min",
            'who may paint it',
        );
    }

    private function on(Clause $clause): string
    {
        $where = $this->scope($clause->scope());

        return $where === '' ? '' : ", on $where";
    }

    private static function range(int $min, ?int $max): string
    {
        return $max === null ? "$min or more" : ($min === $max ? (string) $min : "$min to $max");
    }

    private static function shortRange(int $min, ?int $max): string
    {
        return $max === null ? "$min or more" : "{$min}–{$max}";
    }

    private static function place(?Place $place): string
    {
        return $place === null ? '' : ', '.Terms::place($place);
    }

    private static function which(Effect $effect): string
    {
        return match ($effect) {
            Effect::Separate => 'neutral',
            Effect::SeparateTinted => 'tinted to the surface',
            Effect::Letter => 'suggested',
            Effect::LetterFull => 'real writing',
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::BaseColour, Effect::Shade,
            Effect::HighlightRaised, Effect::HighlightEdge, Effect::HighlightSpot, Effect::Blend, Effect::Tint,
            Effect::TintOver, Effect::Tone, Effect::Texture, Effect::Reflect, Effect::Glow, Effect::PickOut,
            Effect::Mark, Effect::MarkWear, Effect::MarkSettled, Effect::Freehand, Effect::Wear, Effect::WearDrawn,
            Effect::Grime, Effect::Gloss, Effect::GlossGround, Effect::Tidy, Effect::Undercoat, Effect::Value,
            Effect::Protect, Effect::GroundTexture, Effect::GroundColour, Effect::GroundShade, Effect::GroundLight,
            Effect::GroundPlants, Effect::GroundWet, Effect::GroundScene, Effect::GroundTie, Effect::Rim,
            Effect::Join, Effect::Prepare, Effect::Check => Terms::effect($effect),
        };
    }

    private static function shortUnit(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::LineWidth => ' mm',
            Criterion::BarePrimer, Criterion::LineShare => ' %',
            Criterion::TonalSpan, Criterion::Tones, Criterion::LightFromAbove, Criterion::BaseColour,
            Criterion::ColourDrift, Criterion::HardStep, Criterion::LastLight => '',
        };
    }
}
