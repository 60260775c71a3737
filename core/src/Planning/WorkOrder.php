<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sequencing\OrderedWork;
use Ordotype\Core\Sequencing\OrderRules;
use Ordotype\Core\Sequencing\PassScheduler;
use Ordotype\Core\Sequencing\PrecedenceGraph;
use Ordotype\Core\Sequencing\Step;

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
     */
    public function rules(array $steps): PrecedenceGraph
    {
        $request = $this->context->request;
        $sculpt = $this->context->method->benchSculpt();

        return (new OrderRules($steps, $sculpt, $request->method, $request->arrangement->overrules))->edges();
    }

    /**
     * One order that keeps the rules. Steps may be those of several plans of one model: what each piece does not need
     * is
     * left out on it.
     *
     * @param  list<Step>  $steps
     */
    public function lay(array $steps): OrderedWork
    {
        return $this->scheduler($steps)->order($this->rules($steps), $this->context->request->arrangement->sequence);
    }

    /**
     * The order laid out in stages: what belongs to a lower one is done first.
     *
     * @param  list<Step>  $steps
     * @param  list<int>  $stages  for each step
     */
    public function layInStages(array $steps, array $stages): OrderedWork
    {
        return $this->scheduler($steps)->order($this->rules($steps), stages: $stages);
    }

    /** @param  list<Step>  $steps */
    private function scheduler(array $steps): PassScheduler
    {
        return new PassScheduler($steps, $this->context->method->benchSculpt(), $this->context->request->pieces);
    }
}
