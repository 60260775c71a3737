<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BendPlan;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Studio\PlanView;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\WorkOrder;
use Ordotype\Core\Sequencing\HeldBack;
use Ordotype\Core\Sequencing\Move;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Sequencing\StepKey;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;
use stdClass;

/**
 * The lead bends a plan: its order, rules set aside, paints and notes of steps, practice, variants, models that lack
 * areas.
 */
final class BendController
{
    public function __construct(private readonly BendPlan $bend)
    {
    }

    /** What moving a step in the order of work would break, and how long would then be waited; nothing is kept. */
    public function move(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'step' => ['required', 'string', 'max:190'],
            'to' => ['required', 'integer', 'min:0', 'max:10000'],
        ]);
        $unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']);
        $plan = UnitPlans::plan($unit);
        $keys = array_map(fn (Step $s) => $s->key()->id, $plan->work->steps);
        $from = array_search($given['step'], $keys, true);
        if ($from === false) {
            throw new Refusal('That is no step of this plan.', '/step');
        }
        $order = WorkOrder::of($plan->request);
        $move = Move::of(
            $plan->work->steps,
            $order->rules($plan->work->steps),
            $from,
            min((int) $given['to'], count($keys) - 1),
        );
        $moved = $plan->request->arranged($plan->request->arrangement->rulesOnly()->inSequence($move->sequence));
        $then = $move->broken !== [] ? null : WorkOrder::of($moved)->lay($plan->work->steps);

        return new JsonResponse([
            'sequence' => array_map(fn (StepKey $k) => $k->id, $move->sequence),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_then' => $then === null ? null : round($then->idleMinutes, 2),
            'passes' => count($plan->work->passes),
            'passes_then' => $then === null ? null : count($then->passes),
            'broken' => array_map(
                fn (HeldBack $b) => [
                    'rule' => $b->rule->value,
                    'words' => Terms::rule($b->rule),
                    'earlier' => $b->earlier->place()->id,
                    'earlier_name' => Terms::capital(PlanWords::step($b->earlier)),
                    'later' => $b->later->place()->id,
                    'later_name' => Terms::capital(PlanWords::step($b->later)),
                ],
                $move->broken,
            ),
        ]);
    }

    public function sequence(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'sequence' => ['present', 'array', 'max:2000'],
            'sequence.*' => ['string', 'max:190'],
        ]);

        return $this->view(
            $request,
            $this->bend->sequence($unit, array_values($given['sequence']), (int) $given['revision']),
        );
    }

    public function step(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'step' => ['required', 'string', 'max:190'],
            'paint' => ['nullable', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:500'],
        ]);

        return $this->view(
            $request,
            $this->bend->step(
                $unit,
                $given['step'],
                $given['paint'] ?? null,
                $given['note'] ?? null,
                (int) $given['revision'],
            ),
        );
    }

    public function practice(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'technique' => ['nullable', 'string', 'max:64'],
        ]);

        return $this->view(
            $request,
            $this->bend->practice($unit, $given['technique'] ?? null, (int) $given['revision']),
        );
    }

    public function aim(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'aim' => ['nullable', 'in:quickest,best'],
        ]);

        return $this->view(
            $request,
            $this->bend->aim($unit, Aim::tryFrom($given['aim'] ?? ''), (int) $given['revision']),
        );
    }

    public function overrule(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'rules' => ['required', 'array', 'min:1', 'max:200'],
            'rules.*.rule' => ['required', 'string'],
            'rules.*.earlier' => ['required', 'string', 'max:190'],
            'rules.*.later' => ['required', 'string', 'max:190'],
            'reason' => ['required', 'string', 'max:500'],
        ]);
        $by = $request->user();
        assert($by instanceof User);

        return $this->view(
            $request,
            $this->bend->overrule(
                $unit,
                array_values($given['rules']),
                $given['reason'],
                $by,
                (int) $given['revision'],
            ),
        );
    }

    public function uphold(Request $request, Unit $unit, int $place): JsonResponse
    {
        return $this->view(
            $request,
            $this->bend->uphold(
                $unit,
                $place,
                (int) $request->validate(['revision' => ['required', 'integer']])['revision'],
            ),
        );
    }

    public function variants(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'variants' => ['present', 'array', 'max:20'],
        ]);
        $body = Json::decode($request->getContent());
        assert($body instanceof stdClass && is_array($body->variants));

        return $this->view(
            $request,
            $this->bend->variants($unit, array_values($body->variants), (int) $given['revision']),
        );
    }

    public function lacks(Request $request, Piece $piece): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'lacks' => ['present', 'array', 'max:200'],
            'lacks.*' => ['string', 'max:64'],
        ]);

        return new JsonResponse(
            PlanView::of(
                $this->bend->lacks($piece, array_values($given['lacks']), (int) $given['revision']),
                $request->user(),
                $piece->refresh(),
            ),
        );
    }

    public function copy(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate(['to' => ['required', 'integer'], 'revision' => ['required', 'integer']]);
        [$to, $gone] = $this->bend->copy(
            $unit,
            Unit::query()->findOrFail((int) $given['to']),
            (int) $given['revision'],
        );

        return new JsonResponse(['unit' => $to->id, 'revision' => $to->revision, 'edits_gone' => $gone]);
    }

    private function view(Request $request, Unit $unit): JsonResponse
    {
        return new JsonResponse(PlanView::of($unit, $request->user()));
    }
}
