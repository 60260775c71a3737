<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** A step put somewhere else in the order of work, and what that would break. */
final readonly class Move
{
    /**
     * @param  list<StepKey>  $sequence  of all steps in the new order
     * @param  list<HeldBack>  $broken
     */
    private function __construct(public array $sequence, public array $broken)
    {
    }

    /**
     * @param  list<Step>  $steps  in order of work
     * @param  int  $from  place of the step, from 0
     * @param  int  $to  the place it is to have, from 0
     */
    public static function of(array $steps, PrecedenceGraph $edges, int $from, int $to): self
    {
        $order = array_keys($steps);
        [$moved] = array_splice($order, $from, 1);
        array_splice($order, $to, 0, [$moved]);
        $place = array_flip($order);
        $broken = [];
        foreach (array_keys($steps) as $earlier) {
            foreach ($edges->after($earlier) as $later => $rules) {
                if ($place[$later] < $place[$earlier] && ($earlier === $from || $later === $from)) {
                    foreach ($rules as $rule) {
                        $broken[] = new HeldBack($rule, $steps[$earlier], $steps[$later]);
                    }
                }
            }
        }

        return new self(array_map(fn (int $i) => $steps[$i]->key(), $order), $broken);
    }
}
