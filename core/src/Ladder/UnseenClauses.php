<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;

/** Clauses no check can see: their marks are too small for the tier's distance, or nobody looks from there. */
final readonly class UnseenClauses
{
    /** The visual angle, in arcminutes, of the sharpest eye. */
    private const SHARPEST = 1.0;

    private Proposals $proposals;

    public function __construct(private Kinds $kinds, private Standard $standard)
    {
        $this->proposals = new Proposals($standard);
    }

    /**
     * @param  list<Clause>  $clauses  of the tier, those it takes from another included
     * @return list<Finding>
     */
    public function of(Tier $tier, array $clauses): array
    {
        $visible = NoticingSize::mm($tier->viewing->distanceCm, self::SHARPEST);
        $accepts = Clause::only(AcceptanceClause::class, $clauses);
        $findings = [];
        foreach ($clauses as $clause) {
            $mark = $this->widestMark($clause);
            $unseen = $mark !== null && $mark < $visible ? null : $this->unseenView($clause, $accepts);
            if ($mark !== null && $mark < $visible) {
                $edits = [$this->proposals->without($tier, $clause)];
                $findings[] = new Finding(
                    FindingKind::NobodySees,
                    $tier,
                    [$clause],
                    $edits,
                    markMm: $mark,
                    visibleMm: $visible,
                );
            } elseif ($unseen !== null) {
                $change = new ClauseChange(views: [...$accepts[0]->views, $unseen]);
                $edits = [$this->proposals->own($tier, $accepts[0], $change)];
                $findings[] = new Finding(
                    FindingKind::NobodySees,
                    $tier,
                    [$clause, $accepts[0]],
                    $edits,
                    unseen: $unseen,
                );
            }
        }

        return $findings;
    }

    /** The widest mark in mm of what could meet the clause; null where something leaves marks of any width. */
    private function widestMark(Clause $clause): ?float
    {
        $view = $this->kinds->views->of($clause);
        $couldMeet = match (true) {
            $view->effect !== null => $this->kinds->servedBy($view->effect),
            $view->technique?->isRequired() === true => array_filter(
                $this->standard->techniques,
                $view->technique->names(...),
            ),
            default => [],
        };
        $marks = array_map(fn (Technique $t) => $t->markMm, array_values($couldMeet));

        return $marks === [] || in_array(null, $marks, true) ? null : max($marks);
    }

    /**
     * The view in which alone the clause can be seen and which no acceptance of the models it speaks of names.
     *
     * @param  list<AcceptanceClause>  $accepts
     */
    private function unseenView(Clause $clause, array $accepts): ?View
    {
        $scope = $clause->scope();
        $isAnywhere =
            $scope->facing === null && $scope->rank === null && $scope->material === null && $scope->relief === null;
        if ($accepts === [] || $isAnywhere || ! $this->kinds->views->of($clause)->isLookedFor) {
            return null;
        }
        $only = null;
        foreach (AreaKinds::toldApartBy([$scope], $scope) as $kind) {
            if (
                $this->kinds->inScope($clause, $kind->area, $kind->sculpt) &&
                $this->kinds->canHold($clause, $kind->area)
            ) {
                $only = $kind->area->view();
                if (self::isLookedAt($only, $accepts, $scope->role ?? Role::cases())) {
                    return null;
                }
            }
        }

        return $only;
    }

    /**
     * @param  list<AcceptanceClause>  $accepts
     * @param  list<Role>  $roles
     */
    private static function isLookedAt(View $view, array $accepts, array $roles): bool
    {
        foreach ($accepts as $accept) {
            $applies = array_filter($accept->role, fn (Role $r) => in_array($r, $roles, true)) !== [];
            if ($applies && in_array($view, $accept->views, true)) {
                return true;
            }
        }

        return false;
    }
}
