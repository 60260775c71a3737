<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Exceptions\FigureRefused;
use App\Exceptions\PlanRefused;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Arrangements;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Standards;
use App\Repositories\Units;
use App\Studio\ActivityLog;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Technique;

/**
 * What the lead bends of a plan beyond the techniques of an area: its order, rules set aside, paints, practice,
 * variants, single models.
 */
final class BendPlan
{
    public function __construct(
        private readonly Planner $planner,
        private readonly Colours $colours,
        private readonly Standards $standards,
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly ActivityLog $log,
        private readonly Arrangements $arrangements,
        private readonly Figures $figures,
    ) {
    }

    /**
     * @param  list<string>  $sequence  keys of steps in the order they are to have; none: as the planner lays them
     * out
     */
    public function sequence(Unit $unit, array $sequence, int $revision): Unit
    {
        return $this->arranging(
            $unit,
            $revision,
            'plan.sequence',
            fn (array $kept) => ['sequence' => $sequence] + $kept,
        );
    }

    /** Paint and note of one step; null leaves the scheme's paint, an empty note takes it away. */
    public function step(Unit $unit, string $step, ?string $paint, ?string $note, int $revision): Unit
    {
        return $this->arranging($unit, $revision, 'plan.step', function (array $kept, Unit $unit) use (
            $step,
            $paint,
            $note,
        ): array {
            $this->stepOf($unit, $step);
            if ($paint !== null && $this->colours->shelf()->colourOf($paint) === null) {
                throw PlanRefused::noSuchPaint($paint);
            }
            $kept['paints'] = array_filter(
                [$step => $paint] + ($kept['paints'] ?? []),
                fn (?string $p) => $p !== null,
            );
            $kept['notes'] = array_filter(
                [$step => trim((string) $note)] + ($kept['notes'] ?? []),
                fn (string $n) => $n !== '',
            );

            return $kept;
        });
    }

    /** The one technique of the unit that may go beyond the tier as practice; null: none. */
    public function practice(Unit $unit, ?string $technique, int $revision): Unit
    {
        return $this->arranging($unit, $revision, 'plan.practice', function (array $kept, Unit $unit) use (
            $technique,
        ): array {
            if ($technique !== null && ! $this->standards->core($unit->order->version)->hasTechnique($technique)) {
                throw PlanRefused::noSuchTechnique($technique, '/technique');
            }

            return ['practice' => $technique] + $kept;
        });
    }

    /** Plans for the least time or for the most notice within the minutes; null: as the tier says. */
    public function aim(Unit $unit, ?Aim $aim, int $revision): Unit
    {
        return $this->arranging($unit, $revision, 'plan.aim', fn (array $kept) => ['aim' => $aim?->value] + $kept);
    }

    /**
     * Sets rules of order aside between steps, for the order: all of them or none. Said again, the newer reason holds.
     *
     * @param  list<array{rule: string, earlier: string, later: string}>  $rules  by the places of their steps
     */
    public function overrule(Unit $unit, array $rules, string $reason, User $by, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $rules, $reason, $by, $revision): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $places = array_map(fn (Step $s) => $s->place()->id, $this->plans->plan($unit)->work->steps);
            $order = $unit->order->locked();
            foreach ($rules as $i => $rule) {
                if (Rule::tryFrom($rule['rule']) === null) {
                    throw PlanRefused::noSuchRule($rule['rule'], "/rules/$i/rule");
                }
                foreach (['earlier', 'later'] as $field) {
                    if (! in_array($rule[$field], $places, true)) {
                        throw PlanRefused::noSuchStep($rule[$field], "/rules/$i/$field");
                    }
                }
                $said = ['reason' => $reason, 'by' => $by->name, 'said_at' => now()];
                $before = $order->overrules()->where($rule)->first()?->facts();
                $this->log->write(
                    'order.overruled',
                    $order,
                    $before,
                    $order->overrules()->updateOrCreate($rule, $said)->facts(),
                );
            }

            return $this->touch($unit);
        });
    }

    /** Lets a rule hold again; what was put in order by hand goes back to where the rules let it. */
    public function uphold(Unit $unit, int $overrule, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $overrule, $revision): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $order = $unit->order->locked();
            $row = $order->overrules()->find($overrule) ?? throw PlanRefused::ruleNotSetAside();
            $row->delete();
            $this->log->write('order.upheld', $order, $row->facts(), null);

            return $this->touch($unit);
        });
    }

    /** @param  list<mixed>  $variants  as {@see UnitArrangement::variants} reads them */
    public function variants(Unit $unit, array $variants, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $variants, $revision): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $standard = $this->standards->core($unit->order->version);
            $this->arrangements->variants($variants, $standard->techniqueKeys());
            $before = $unit->variants;
            $unit->update(['variants' => $variants === [] ? null : Json::encode($variants)]);
            $this->plans->unitPlan($unit->refresh());
            $this->log->write('unit.variants', $unit, $before, $unit->variants);

            return $this->touch($unit);
        });
    }

    /** @param  list<string>  $lacks  keys of areas the model does not have: a fact, not an amendment */
    public function lacks(Piece $piece, array $lacks, int $revision): Unit
    {
        return DB::transaction(function () use ($piece, $lacks, $revision): Unit {
            $unit = $this->units->unreleased($piece->unit, $revision);
            $sculpt = $this->figures->of($unit->sculpt);
            foreach ($lacks as $i => $key) {
                if (! $sculpt->has($key)) {
                    throw FigureRefused::noSuchArea($key, $sculpt->name, "/lacks/$i");
                }
            }
            if (count(array_unique($lacks)) >= count($sculpt->areas)) {
                throw PlanRefused::nothingLeft();
            }
            $before = $piece->lacks;
            $piece->update(['lacks' => $lacks === [] ? null : array_values(array_unique($lacks))]);
            $this->log->write('piece.lacks', $piece, $before, $piece->lacks);

            return $this->touch($unit);
        });
    }

    /**
     * Copies what was changed by hand to another unit of the same sculpt, as far as it applies there.
     *
     * @return array{Unit, list<string>} the other unit, and the names of areas that could not be copied
     */
    public function copy(Unit $from, Unit $to, int $revision): array
    {
        return DB::transaction(function () use ($from, $to, $revision): array {
            if ($from->sculpt_id !== $to->sculpt_id) {
                throw FigureRefused::otherFigure('/to');
            }
            $to = $this->units->unreleased($to, $revision);
            [$edits, $gone] = $this->plans->carried(
                $this->planner->plan($this->plans->request($to)),
                $from->edits ?? [],
            );
            $before = $to->edits;
            $all = $edits + ($to->edits ?? []);
            $to->update(['edits' => $all === [] ? null : $all]);
            $this->log->write('plan.copied', $to, $before, $to->edits);

            return [$this->touch($to), $gone];
        });
    }

    /** @param  callable(array<string, mixed>, Unit): array<string, mixed>  $change */
    private function arranging(Unit $unit, int $revision, string $action, callable $change): Unit
    {
        return DB::transaction(function () use ($unit, $revision, $action, $change): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $before = $unit->arrangement;
            $after = array_filter($change($before ?? [], $unit), fn (mixed $v) => $v !== null && $v !== []);
            $unit->update(['arrangement' => $after === [] ? null : $after]);
            $this->log->write($action, $unit, $before, $unit->arrangement);

            return $this->touch($unit);
        });
    }

    private function stepOf(Unit $unit, string $key): Step
    {
        foreach ($this->plans->plan($unit)->work->steps as $step) {
            if ($step->key()->id === $key) {
                return $step;
            }
        }
        throw PlanRefused::noSuchStep($key, '/step');
    }

    private function touch(Unit $unit): Unit
    {
        $unit->update(['revision' => $unit->revision + 1]);

        return $unit->refresh();
    }
}
