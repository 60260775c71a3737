<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Sequencing\Follows;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\OrderRules;
use Ordotype\Core\Planning\Sequencing\PassScheduler;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\Underlays;
use Ordotype\Core\Standard\Extent;

/** The order of work of steps as a request wants it: its method's rules, what the lead set aside, its batch. */
final readonly class WorkOrder
{
    public function __construct(private PlanContext $context)
    {
    }

    public static function of(PlanRequest $request): self
    {
        return new self(PlanContext::of($request));
    }

    /**
     * The rules between steps, by their places in the list.
     *
     * @param  list<Step>  $steps
     * @param  array<string, true>  $soiled  keys of areas onto which something strays before their own paint is begun
     *     and would show, added to
     */
    public function rules(array $steps, array &$soiled = []): PrecedenceGraph
    {
        $request = $this->context->request;
        $sculpt = $this->context->method->benchSculpt();

        return (new OrderRules($steps, $sculpt, $request->method, $request->arrangement->overrules))->edges($soiled);
    }

    /** @return list<list<array{int, Rule}>> what each step of an order follows, as {@see Follows::steps} tells it */
    public function follows(OrderedWork $work): array
    {
        return Follows::steps($work, $this->rules($work->steps), $this->context->method->benchSculpt());
    }

    /**
     * One order that keeps the rules.
     *
     * @param  list<Step>  $steps
     */
    public function lay(array $steps): OrderedWork
    {
        return $this->layBy($steps, $this->rules($steps));
    }

    /**
     * One order that keeps the rules between these steps that are given; circles are broken for it alone.
     *
     * @param  list<Step>  $steps
     */
    public function layBy(array $steps, PrecedenceGraph $rules): OrderedWork
    {
        return $this->scheduler($steps)->order(clone $rules, $this->context->request->arrangement->sequence);
    }

    /**
     * The steps of pieces of one model that get different work, each with its own rules. Every step is there once: the
     * same key and paint are one step, as the first draft has it; what a piece does not need is left out on it.
     *
     * @param  non-empty-list<Draft>  $drafts
     * @return array{list<Step>, PrecedenceGraph} the steps, and the rules by their places
     */
    public function together(array $drafts): array
    {
        $steps = [];
        foreach ($drafts as $draft) {
            foreach ($draft->steps as $step) {
                $steps[$step->paintedKey()->id] ??= $step;
            }
        }
        $place = array_flip(array_keys($steps));
        $rules = new PrecedenceGraph(count($steps));
        foreach ($drafts as $draft) {
            $own = array_map(fn (Step $s) => $place[$s->paintedKey()->id], $draft->steps);
            foreach ($own as $i => $earlier) {
                foreach ($draft->rules->after($i) as $j => $held) {
                    foreach ($held as $rule) {
                        $rules->put($earlier, $own[$j], $rule);
                    }
                }
            }
        }

        (new Underlays(array_values($steps), $this->context->method->benchSculpt(), $rules))->inOnePass();

        return [array_values($steps), $rules];
    }

    /**
     * The order laid out in stages: what belongs to a lower one is done first.
     *
     * @param  list<Step>  $steps
     * @param  list<int>  $stages  for each step
     */
    public function layInStages(array $steps, array $stages): OrderedWork
    {
        $rules = $this->rules($steps);
        // Where work stops on the way, inner areas need not be finished first.
        foreach ($stages as $earlier => $stage) {
            foreach ($rules->after($earlier) as $later => $held) {
                if ($stage > $stages[$later]) {
                    $rules->set($earlier, $later, array_diff_key($held, [Rule::InnerFinished->value => true]));
                }
            }
        }

        return $this->scheduler($steps)->order($rules, stages: $stages);
    }

    /** @param  list<Step>  $steps */
    private function scheduler(array $steps): PassScheduler
    {
        $sculpt = $this->context->method->benchSculpt();

        return new PassScheduler($steps, $sculpt, $this->context->request->pieces, $this->touchUps($steps));
    }

    /**
     * Minutes to put right what strayed onto an area: those of a spot of touch-up.
     *
     * @param  list<Step>  $steps
     * @return array<string, float> by area key
     */
    private function touchUps(array $steps): array
    {
        $minutes = [];
        foreach ($steps as $step) {
            if ($step->area !== null && ! isset($minutes[$step->area->key])) {
                $touchUp = $this->context->touchUp($step->area);
                $minutes[$step->area->key] = $touchUp === null ? 0.0 : $touchUp->minutes[Extent::Spot->value];
            }
        }

        return $minutes;
    }
}
