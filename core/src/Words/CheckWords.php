<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Inspection\Aspect;
use Ordotype\Core\Inspection\Basis;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\RepairWhy;
use Ordotype\Core\Inspection\Sighting;
use Ordotype\Core\Inspection\SigningRule;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Inspection\WholeUnit;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Standard;

/** What is asked in a check, what is found and what that means, in words. */
final readonly class CheckWords
{
    private ClauseWords $words;

    public function __construct(Standard $standard)
    {
        $this->words = new ClauseWords($standard);
    }

    /** What is looked at, as it is when it is as it should be; where, is told beside it. */
    public function checkpoint(Checkpoint $c): string
    {
        if ($c->isFinalLook()) {
            return 'Turned slowly in the hand, left and right included: no paint where it should not be, nothing '.
                'forgotten';
        }
        if ($c->asked === null) {
            return self::faults($c->aspect);
        }
        $text = $c->asked->accept(new RequirementTexts($this->words));
        $isWide = $c->view !== null && $c->aspect !== Aspect::Ground;

        return $text->look.($isWide ? $text->lookExtent : '').$text->lookMore;
    }

    public static function look(?View $view, ?Aspect $aspect): string
    {
        return match ($aspect) {
            Aspect::Cover => 'Cover and clean borders',
            Aspect::Tones => 'Tones and light',
            Aspect::Lines => 'Lines and edges',
            Aspect::Details => 'Details, eyes and marks',
            Aspect::Metal => 'Metal and glass',
            Aspect::Wear => 'Wear',
            Aspect::Ground => 'Base and rim',
            Aspect::All => $view === View::Under ? 'The underside' : 'All of this side',
            Aspect::Varnish => 'Varnish and handling',
            Aspect::Reference => 'The client’s picture',
            Aspect::Final => 'The final look',
            // Of a check that was opened before there were looks: one thing at a time.
            null => $view === null ? 'The final look' : 'All of this side',
        };
    }

    /** @return list<string> what can still be put right cheaply at a gate */
    public static function gate(Gate $gate): array
    {
        return match ($gate) {
            Gate::Prepared => [
                'No mould lines, no gaps, nothing broken or bent',
                'Parts fit, and those that stay apart are known',
                'Each is held by a handle',
            ],
            Gate::Undercoated => [
                'Covered all over, thin and even',
                'No grain, no fluff, the detail is still crisp',
                'Light and dark lie where the method wants them',
            ],
            Gate::TestModel => [
                'The scheme reads as it was agreed',
                'Tones and contrast hold from where it is looked at',
                'The rest can be painted in the time that was planned',
            ],
            Gate::BeforeVarnish => [
                'Nothing is forgotten, nothing bare',
                'No paint over the borders, no finger marks',
                'Marks lie flat and straight',
            ],
            Gate::Joined => ['The joints are tight and tidied', 'Nothing was scarred by joining'],
            Gate::Final => [],
        };
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
            RepairWhy::OwnStain => 'the area’s own stain again, a little less even than before',
            RepairWhy::OwnStainUneven => 'the area’s own stain again, less even than this tier wants there: '.
                'look whether it will do',
            RepairWhy::DoneAgain => 'a later step of the plan, done again',
            RepairWhy::Strayed => 'what strayed onto it is tidied',
            RepairWhy::VarnishWasOn => 'the varnish was on already',
        };
    }

    /** @param  string|null  $mm  as it was measured */
    public static function spread(Spread $spread, ?string $mm): string
    {
        return match ($spread) {
            Spread::Spot => 'a spot',
            Spread::Patch => 'a patch',
            Spread::Whole => 'all of it',
        }.($mm === null ? '' : ', '.Terms::number((float) $mm).' mm');
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
            $v->open !== [] => self::count(count($v->open), 'line').' still to answer',
            $v->unphotographed !== [] => 'Still to photograph: '.
                implode(', ', array_map(fn (View $view) => "the $view->value", $v->unphotographed)),
            default => "Passes, {$v->counted['minor']} minor of $v->minorLimit",
        };
    }

    /** How the models of a unit look side by side. */
    public static function whole(WholeUnit $whole): string
    {
        return match ($whole) {
            WholeUnit::OneArmy => 'Side by side they are one army, each a little its own.',
            WholeUnit::Clones => 'Side by side they are one army, but like clones.',
            WholeUnit::Monotonous => 'Side by side they are one army, but monotonous.',
        };
    }

    /**
     * What a client reads of the checks of one model.
     *
     * @param  list<string>  $repaired  faults with where they were
     * @param  list<string>  $left
     * @param  string|null  $why  they were accepted; null: the tier allows them
     */
    public static function found(array $repaired, array $left, ?string $why): string
    {
        $parts = [];
        if ($repaired !== []) {
            $parts[] = 'found and put right: '.implode(', ', $repaired);
        }
        if ($left !== []) {
            $list = implode(', ', $left);
            $parts[] = $why === null ? "within what the tier allows: $list" : "accepted as it is: $list ($why)";
        }

        return $parts === [] ? 'passed first time, without a fault.' : implode('; ', $parts).'.';
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

    private static function faults(?Aspect $aspect): string
    {
        return match ($aspect) {
            null,
            Aspect::All,
            Aspect::Metal,
            Aspect::Wear,
            Aspect::Final => 'Covered, clean at the borders, smooth and in its colour',
            Aspect::Cover => 'No misses, scars or paint over the border',
            Aspect::Tones => 'No rings, pools, dust or stark layers',
            Aspect::Lines => 'Lines are even, unbroken and thin',
            Aspect::Details => 'Details, eyes and decals sit right',
            Aspect::Ground => 'The base is finished, the rim clean, the feet free of it',
            Aspect::Varnish => 'The varnish is even and clear, and nothing shows where it was held',
            Aspect::Reference => 'It follows the client’s picture, or the deviation was agreed',
        };
    }

    private static function count(int $n, string $what): string
    {
        return "$n $what".($n === 1 ? '' : 's');
    }
}
