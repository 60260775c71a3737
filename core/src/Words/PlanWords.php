<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Choice\ConflictCause;
use Ordotype\Core\Planning\Choice\MustHold;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\NotApplicable;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\ReasonKind;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\Unfit;
use Ordotype\Core\Planning\Outlook\StopObstacle;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepPlace;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Clause;

/** What a plan has to say, in words: why, what stands in the way, what is asked. */
final readonly class PlanWords
{
    private ClauseWords $words;

    /** @var array<string, Clause> by id */
    private array $clauses;

    public function __construct(private PlanRequest $request)
    {
        $this->words = new ClauseWords($request->standard, $request->sculpt);
        $clauses = [];
        foreach ($request->standard->tiers as $tier) {
            foreach ($tier->clauses as $clause) {
                $clauses[$clause->id] = $clause;
            }
        }
        $this->clauses = $clauses;
    }

    public static function area(?Area $area): string
    {
        return $area === null ? 'the whole model' : mb_strtolower($area->name);
    }

    /** A step in the middle of a sentence: what is done where. */
    public static function step(Step $step): string
    {
        return mb_strtolower($step->technique->name).' on '.self::area($step->area);
    }

    /** A place between which a rule is set aside, as the plan's steps name it. */
    public function place(StepPlace $place): string
    {
        foreach ($this->request->standard->techniques as $technique) {
            foreach ([null, ...$this->request->sculpt->areas] as $area) {
                if (StepPlace::of($area?->key, $technique->key)->is($place)) {
                    return mb_strtolower($technique->name).' on '.self::area($area);
                }
            }
        }

        return 'a step that is not in this plan';
    }

    /** Why something is asked or done. */
    public function reason(Reason $reason): string
    {
        return match ($reason->kind) {
            ReasonKind::Clause => $this->clauseName((string) $reason->clause),
            ReasonKind::Amendment => "amendment $reason->amendment",
            ReasonKind::Method => 'the method'.
                ($reason->school === null ? '' : ': '.SchoolWords::school($reason->school)),
            ReasonKind::Base => 'every area gets one base colour',
            ReasonKind::Tidying => 'a wash leaves marks that are tidied',
            ReasonKind::Parts => 'what is kept apart is joined',
            ReasonKind::TouchUp => 'the ground shows through what comes on it',
        };
    }

    /** @param  list<Reason>  $reasons */
    public function reasons(array $reasons): string
    {
        return Terms::any(array_values(array_unique(array_map($this->reason(...), $reasons))), ' and ');
    }

    /** What is asked for, in a few words. */
    public function subject(Requirement $asked): string
    {
        return $this->text($asked)->subject;
    }

    /** What is asked, with how much of it. */
    public function demand(Requirement $asked): string
    {
        return $this->text($asked)->demand;
    }

    public function text(Requirement $asked): RequirementText
    {
        return $asked->accept(new RequirementTexts($this->words));
    }

    /** Why an area cannot be planned, without its full stop. */
    public function conflict(Conflict $conflict): string
    {
        $parts = array_map(
            fn (Requirement $r) => '“'.$this->reasons($r->reasons).'” asks for '.$this->demand($r),
            $conflict->asked,
        );

        return match ($conflict->cause) {
            ConflictCause::NothingGivesIt => implode('; ', $parts).', which no allowed technique can give here',
            ConflictCause::NotTogether => implode('; ', $parts).
                ': together they cannot be met with what is allowed here',
            ConflictCause::NoBase => 'no technique that gives a base colour is allowed here',
            ConflictCause::BaseLacksWhatItNeeds => 'no allowed base colour can be given here without something '.
                'it needs that is not there',
            ConflictCause::MethodAdds => 'the clauses can be met one by one and together, but not with what the '.
                'method adds',
        };
    }

    /** Why something asked cannot be done on an area at all. */
    public function notApplicable(NotApplicable $one): string
    {
        $effect = Requirement::only(EffectRequirement::class, [$one->asked])[0] ?? null;
        $by = $effect?->by;
        $who =
            $by === null
                ? 'no technique of the catalogue'
                : 'none of '.implode(', ', array_map($this->words->techniqueName(...), $by));
        $extent = $effect === null ? '' : Terms::extent($effect->extent);

        return match ($one->why) {
            Unfit::NobodyGivesItHere => "$who can give it on ".Terms::surface($one->area),
            Unfit::NobodyGivesItSoWidely => "$who gives it $extent",
            Unfit::Retired => 'it is retired from the catalogue',
            Unfit::NotForMaterial => 'it is not for '.Terms::material($one->area->material),
            Unfit::NotForRelief => 'it does not suit '.Terms::surface($one->area),
            Unfit::NoBaseOnGround => 'ground gets no base colour of this kind',
        };
    }

    /** Why work cannot stop at a tier. */
    public function obstacle(StopObstacle $obstacle): string
    {
        $where = self::area($obstacle->area);

        return match (true) {
            $obstacle->unfit !== null => 'an amendment of this plan speaks of a clause that this tier does not have',
            $obstacle->rule !== null => Terms::rule($obstacle->rule).
                ': whatever the tier asks comes after all the rest of the work',
            $obstacle->asked !== null => $this->demand($obstacle->asked).
                ' on '.
                $where.
                ' (“'.
                $this->reasons($obstacle->asked->reasons).
                '”) is not met by this plan',
            default => "$where lacks ".
                Terms::any(
                    array_values(
                        array_unique(
                            array_map(
                                fn (MustHold $m) => match ($m) {
                                    MustHold::OneBase => 'its one base colour',
                                    MustHold::Tidying => 'the tidying of its wash',
                                    MustHold::Needs => 'what a technique needs',
                                },
                                $obstacle->lacking,
                            ),
                        ),
                    ),
                    ' and ',
                ),
        };
    }

    public function techniqueName(string $key): string
    {
        return $this->words->techniqueName($key);
    }

    private function clauseName(string $id): string
    {
        return isset($this->clauses[$id]) ? $this->words->name($this->clauses[$id]) : 'a clause that was added';
    }
}
