<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Inspection\AskedThere;
use Ordotype\Core\Inspection\Basis;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\Question;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\RepairWhy;
use Ordotype\Core\Inspection\Sighting;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Record\SigningRule;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\FaultGroup;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Standard;

/** What is asked in a check, what is found and what that means, in words. */
final readonly class CheckWords
{
    /** Names of areas that are said before the rest are only counted. */
    private const NAMED = 4;

    private ClauseWords $words;

    public function __construct(Standard $standard)
    {
        $this->words = new ClauseWords($standard);
    }

    public function question(Question $q): string
    {
        if ($q->isFinalLook()) {
            return 'Turned slowly in the hand, left and right included: is there paint where it '.
                'should not be, or something forgotten?';
        }
        if ($q->looksForFaults()) {
            return $q->group === null
                ? 'Is all that is seen from here covered, clean at the borders, smooth and in its colour?'
                : self::group($q->group);
        }
        $steps = array_filter($q->asked, fn (AskedThere $a) => $a->requirement instanceof StepsRequirement);
        if (count($q->asked) > 1 && count($steps) === count($q->asked)) {
            $parts = array_map(
                fn (AskedThere $a) => self::steps($a->requirement).' on '.self::names($a->areas),
                $q->asked,
            );

            return 'Can the colour steps be told apart: '.implode('; ', $parts).'?';
        }
        $parts = array_map(fn (AskedThere $a) => self::names($a->areas).': '.lcfirst($this->asks($a)), $q->asked);

        return ucfirst(implode('; ', $parts)).'?';
    }

    /** Why a fault counts as it does. */
    public static function judgement(Judgement $j): string
    {
        $basis = match ($j->basis) {
            Basis::Wanted => 'the look that was agreed wants it',
            Basis::Tier => "{$j->tier->name} says so of this fault",
            Basis::Clause => 'the clause says so',
            Basis::TableForHeroes => 'the fault table, for heroes',
            Basis::Table => 'the fault table',
        };
        $basis .= $j->raised ? '; on what is looked at first a minor fault is major' : '';
        if ($j->sighting === null) {
            return Terms::sentence($basis);
        }
        $seen = self::sighting($j->sighting);

        return match (true) {
            ! $j->sighting->isNoticed() => Terms::sentence("$seen: not noticed"),
            ! $j->sighting->isPlain() && $j->severity === Severity::Minor => Terms::sentence(
                "$seen: noticed, just, so minor at most",
            ),
            default => Terms::sentence("$basis; $seen"),
        };
    }

    public static function repair(RepairStep $step, FaultKind $fault): string
    {
        return match ($step->why) {
            RepairWhy::PutsRight => 'what puts '.mb_strtolower($fault->name).' right',
            RepairWhy::LightGround => 'a stain wants a light ground under it',
            RepairWhy::OwnBase => 'the area’s own base, by brush',
            RepairWhy::DoneAgain => 'a later step of the plan, done again',
            RepairWhy::Strayed => 'what strayed onto it is tidied',
            RepairWhy::VarnishWasOn => 'the varnish was on already',
        };
    }

    public static function verdict(Verdict $v): string
    {
        return match (true) {
            $v->counted['critical'] > 0 => self::count($v->counted['critical'], 'critical fault').
                ': it cannot leave',
            $v->counted['major'] > $v->majorLimit => self::count($v->counted['major'], 'major fault').
                ': back to the bench',
            $v->counted['minor'] > $v->minorLimit => "{$v->counted['minor']} minor faults where $v->minorLimit ".
                'pass: back to the bench',
            $v->open !== [] => self::count(count($v->open), 'question').' still to answer',
            default => "Passes, {$v->counted['minor']} minor of $v->minorLimit",
        };
    }

    public static function signing(SigningRule $rule): string
    {
        return match ($rule) {
            SigningRule::NoRight => 'You have not been given the right to sign.',
            SigningRule::NotOwnWork => 'signed by someone who did not paint on it',
            SigningRule::SomebodyElseMay => 'You painted on it, and somebody else may sign it.',
            SigningRule::Alone => 'own work, signed alone in a studio of one',
            SigningRule::OthersAnswered => 'own work: everyone who may sign painted on it; another person '.
                'answered the mandatory questions',
            SigningRule::OthersMustAnswer => 'You painted on it, and so did everyone else who may sign: another '.
                'person must '.
                'answer its mandatory questions first.',
        };
    }

    private static function sighting(Sighting $s): string
    {
        $distance = Terms::number($s->distanceCm);

        return sprintf('at %s cm one notices %.2f mm, this is %.2f mm', $distance, $s->noticedMm, $s->sizeMm);
    }

    private static function group(FaultGroup $group): string
    {
        return match ($group) {
            FaultGroup::Cover => 'Is everything covered, with nothing bare or patchy?',
            FaultGroup::Borders => 'Are the borders clean, with no paint on the neighbours?',
            FaultGroup::Surface => 'Is the paint smooth, and the detail still crisp?',
            FaultGroup::Washes => 'Are washes and glazes free of rings, pools and frost?',
            FaultGroup::Light => 'Does the light sit right: enough contrast, from above, with no dust and no '.
                'stark layers?',
            FaultGroup::Lines => 'Are lines even, unbroken and thin enough?',
            FaultGroup::Colour => 'Are the colours those of the scheme, like the rest of the unit?',
            FaultGroup::Details => 'Do the eyes look the same way?',
            FaultGroup::Marks => 'Are decals whole, straight and without a silver edge?',
            FaultGroup::Ground => 'Is the base finished, the rim clean and the feet free of ground?',
            FaultGroup::Model => 'Is the model whole: no mould lines, gaps, scars or chips?',
            FaultGroup::Varnish => 'Is the varnish even and clear?',
        };
    }

    private function asks(AskedThere $asked): string
    {
        $r = $asked->requirement;

        return match (true) {
            $r instanceof StepsRequirement => 'can '.self::steps($r).' colour steps be told apart',
            $r instanceof TechniqueRequirement => 'is the '.
                $this->words->techniqueName($r->technique).
                ' there'.
                $this->words->places($r->reasons).
                self::passes($r->passes),
            $r instanceof FinishRequirement => self::finish($r->criterion),
            $r instanceof EffectRequirement => self::effect($r->effects[0] ?? null).
                self::extent($r->extent, $asked->areas).
                $this->words->places($r->reasons).
                self::passes($r->passes),
            default => 'is it there',
        };
    }

    private static function steps(Requirement $r): string
    {
        return ! ($r instanceof StepsRequirement) ? '' : $r->min.($r->max === null ? ' or more' : " to $r->max");
    }

    /** @param  list<Area>  $areas */
    private static function names(array $areas): string
    {
        $names = array_map(fn (Area $a) => mb_strtolower($a->name), $areas);

        return count($names) > self::NAMED + 1
            ? implode(', ', array_slice($names, 0, self::NAMED)).' and '.(count($names) - self::NAMED).' more'
            : implode(', ', $names);
    }

    /** @param  list<Area>  $areas */
    private static function extent(Extent $extent, array $areas): string
    {
        $onFigure = array_filter($areas, fn (Area $a) => $a->rank !== Rank::Ground) !== [];

        return match ($extent) {
            Extent::Full => $onFigure ? ', everywhere it should be' : '',
            Extent::Prominent => ', where it stands out most',
            default => ', at least in one spot',
        };
    }

    private static function passes(int $passes): string
    {
        return $passes > 1 ? ", in $passes passes" : '';
    }

    private static function effect(?Effect $effect): string
    {
        return match ($effect) {
            Effect::Shade => 'is there shade in the recesses',
            Effect::HighlightRaised => 'are the raised forms lightened',
            Effect::HighlightEdge => 'is there a light line along the edges',
            Effect::HighlightSpot => 'is there a point of light',
            Effect::Blend => 'do the tones blend into one another',
            Effect::Separate => 'is there a dark line between the parts',
            Effect::SeparateTinted => 'is there a tinted dark line between the parts',
            Effect::PickOut => 'is the detail picked out',
            Effect::Reflect => 'are there reflections',
            Effect::Letter => 'is writing suggested',
            Effect::LetterFull => 'can the writing be read',
            Effect::Mark => 'are the decals there',
            Effect::GroundTexture => 'is the ground textured',
            Effect::GroundColour => 'is the ground painted',
            Effect::GroundLight => 'is the ground drybrushed',
            Effect::GroundPlants => 'are there tufts',
            Effect::Rim => 'is the rim painted',
            null => 'is it there',
            default => 'is this there: '.Terms::effect($effect),
        };
    }

    private static function finish(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::TonalSpan => 'is there enough contrast from dark to light',
            Criterion::LightFromAbove => 'does the light come from above',
            Criterion::ColourDrift => 'do the colours match the rest of the unit',
            Criterion::BarePrimer => 'is no undercoat left bare',
            Criterion::LineWidth => 'are the lines fine enough',
            Criterion::HardStep => 'are there no stark layers',
            default => 'does the finish reach the tier',
        };
    }

    private static function count(int $n, string $what): string
    {
        return "$n $what".($n === 1 ? '' : 's');
    }
}
