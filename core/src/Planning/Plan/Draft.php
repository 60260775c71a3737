<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Step;

/** What is done on a piece as steps, before it has an order of work. */
final readonly class Draft
{
    /**
     * @param  list<Step>  $steps
     * @param  PrecedenceGraph  $rules  between them, by their places in the list
     */
    public function __construct(public ChosenWork $chosen, public array $steps, public PrecedenceGraph $rules)
    {
    }

    /**
     * Whether these are its own steps by its own rules.
     *
     * @param  list<Step>  $steps
     */
    public function is(array $steps, PrecedenceGraph $rules): bool
    {
        return $this->steps === $steps && $this->rules == $rules;
    }
}
