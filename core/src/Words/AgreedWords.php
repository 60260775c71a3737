<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;

/** What an amendment does, as a certificate prints it: the amendment itself, not what somebody wrote beside it. */
final readonly class AgreedWords
{
    private ClauseWords $clauses;

    public function __construct(private Standard $standard, private Tier $tier, Sculpt $sculpt)
    {
        $this->clauses = new ClauseWords($standard, $sculpt);
    }

    public function of(Amendment $amendment): string
    {
        $areas = $amendment->scope->area;
        // Every area that is named is meant, not one of them.
        $scope = $areas === null
            ? $this->clauses->scope($amendment->scope)
            : Terms::any(array_map($this->clauses->areaName(...), $areas), ' and ');
        $on = match (true) {
            $amendment->on === null => '',
            $amendment->on->pieces !== null => ', on '.$amendment->on->pieces.' of the models',
            default => ', on '.Terms::number(100 * ($amendment->on->share ?? 0.0)).' % of the models',
        };

        return Terms::capital($this->what($amendment).($scope === '' ? '' : ": $scope").$on);
    }

    private function what(Amendment $amendment): string
    {
        $clause = $this->clause($amendment->clause);
        $technique = $amendment->technique === null ? null : $this->clauses->techniqueName($amendment->technique);

        return match ($amendment->action) {
            AmendmentAction::Add => match (true) {
                $amendment->added !== null => 'besides the tier, '.$this->clauses->sentence($amendment->added),
                default => 'besides the tier, '.trim($technique.$this->how($amendment)),
            },
            AmendmentAction::Omit => match (true) {
                $amendment->clause === Amendment::BASE => 'left unpainted',
                $technique !== null => "without $technique",
                default => 'left out: '.($clause === null ? 'a clause of the tier' : $this->clauses->sentence($clause)),
            },
            AmendmentAction::Set => $clause === null || $amendment->change === null
                ? 'otherwise than the tier: '.trim($technique.$this->how($amendment))
                : 'instead of what the tier asks, '.$this->clauses->sentence($clause->changed($amendment->change)),
        };
    }

    private function how(Amendment $amendment): string
    {
        return ($amendment->extent === null ? '' : ' '.Terms::extent($amendment->extent)).
            ($amendment->passes === null ? '' : Terms::passes($amendment->passes));
    }

    private function clause(?string $id): ?Clause
    {
        foreach ($this->standard->clausesOf($this->tier) as $clause) {
            if ($clause->id === $id) {
                return $clause;
            }
        }

        return null;
    }
}
