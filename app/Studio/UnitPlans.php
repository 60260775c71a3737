<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\FigureRefused;
use App\Exceptions\PlanRefused;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Amendments;
use App\Repositories\Arrangements;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Releases;
use App\Repositories\Standards;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;
use OutOfBoundsException;

/** Plans units from what the database holds. */
final class UnitPlans
{
    public function __construct(
        private readonly Standards $standards,
        private readonly Arrangements $arrangements,
        private readonly Colours $colours,
        private readonly Figures $figures,
        private readonly Amendments $amendments,
        private readonly Releases $releases,
        private readonly Planner $planner,
    ) {
    }

    public function method(Order $order): Method
    {
        return $order->method === null ? new Method() : MethodFormat::read(Json::decode($order->method));
    }

    /** What a piece that differs in nothing is planned from. */
    public function request(Unit $unit): PlanRequest
    {
        $order = $unit->order;
        $standard = $this->standards->core($order->version);

        $tier = $standard->tier($unit->tier);
        $aim = Aim::tryFrom($unit->arrangement['aim'] ?? '');

        return new PlanRequest(
            $standard,
            $aim === null ? $tier : $tier->aimingAt($aim),
            $this->figures->of($unit->sculpt),
            $this->colours->ofUnit($unit),
            $this->method($order),
            $this->amendments->split($unit, $standard)[0],
            $this->colours->shelf(),
            max(1, $unit->standing()->count()),
            $this->arrangements->of($unit),
        );
    }

    /** The plan of a piece that differs in nothing, or of the most frequent kind of piece. */
    public function plan(Unit $unit): Plan
    {
        return $this->unitPlan($unit)->plain();
    }

    /** What the unit's pieces are painted by: on the bench as it was released, before that as it is planned now. */
    public function inForce(Unit $unit): UnitPlan
    {
        $release = $unit->released_at === null ? null : $this->releases->find($unit);

        return $release === null ? $this->unitPlan($unit) : $release->plan;
    }

    /** The plans of all pieces of a unit, worked out now; those that are alike share one. */
    public function unitPlan(Unit $unit): UnitPlan
    {
        $request = $this->request($unit);
        [, $ofPieces] = $this->amendments->split($unit, $request->standard);
        $needs = array_values(
            $unit
                ->standing()
                ->map(
                    fn (Piece $p) => new PieceNeeds(
                        $p->number,
                        array_values($p->lacks ?? []),
                        $ofPieces[$p->id] ?? [],
                        $p->edits === null || $p->edits === [] ? [] : $this->choices($request, $p->edits),
                    ),
                )
                ->all(),
        );
        $known = $request->standard->techniqueKeys();
        $documents = $this->arrangements->variantDocuments($unit);

        return UnitPlan::of(
            $request,
            $needs,
            $documents === [] ? [] : $this->arrangements->variants($documents, $known),
            $unit->edits === null || $unit->edits === [] ? [] : $this->choices($request, $unit->edits),
            $this->planner,
        );
    }

    /**
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits
     * @return array<string, Choice>
     *
     * @throws FigureRefused
     * @throws PlanRefused
     * @throws PlanRefused
     */
    public function choices(PlanRequest $request, array $edits): array
    {
        $method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);
        $choices = [];
        foreach ($edits as $key => $list) {
            if (! $request->sculpt->has((string) $key)) {
                throw FigureRefused::noSuchArea((string) $key, $request->sculpt->name, "/edits/$key");
            }
            $area = $request->sculpt->area((string) $key);
            $chosen = [];
            foreach ($list as $i => $edit) {
                try {
                    $technique = $request->standard->technique($edit['technique']);
                } catch (OutOfBoundsException $e) {
                    throw PlanRefused::noSuchTechnique($edit['technique'], "/edits/$key/$i/technique");
                }
                if ($technique->whole) {
                    throw PlanRefused::wholeModelTechnique($technique, "/edits/$key/$i/technique");
                }
                $extent = Extent::named($edit['extent']) ?? Extent::Full;
                $index = (int) array_search($technique, $request->standard->techniques, true);
                $pace = $request->tier->pace;
                $candidate = Candidate::onArea($technique, $index, $area, $request->sculpt, $pace, $method);
                $passes = max(1, min($technique->maxPasses, $edit['passes']));
                $chosen[$index] = ChosenTechnique::of($candidate, $passes, $extent);
            }
            ksort($chosen);
            $choices[(string) $key] = new Choice(array_values($chosen));
        }

        return $choices;
    }

    /**
     * Changes made by hand, as far as they still apply to another plan: an area with a technique that is not allowed
     * there is left to the planner.
     *
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits
     * @return array{array<string, list<array{technique: string, passes: int, extent: string}>>, list<string>} what
     *     is carried over, and the names of the areas that are not
     */
    public function carried(Plan $plan, array $edits): array
    {
        $gone = [];
        foreach ($edits as $area => $list) {
            if (! $plan->request->sculpt->has((string) $area)) {
                unset($edits[$area]);

                continue;
            }
            $planned = $plan->areas[$plan->request->sculpt->place((string) $area)];
            foreach ($list as $edit) {
                // What is sprayed is allowed by the clause about sprayed colours, not by name.
                if (
                    ! isset($planned->demand->allowed[$edit['technique']]) &&
                    $planned->choice?->uses($edit['technique']) !== true
                ) {
                    $gone[] = $plan->request->sculpt->area((string) $area)->name;
                    unset($edits[$area]);
                    break;
                }
            }
        }

        return [$edits, $gone];
    }
}
