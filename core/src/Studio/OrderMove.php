<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** One way from a state of an order to another: who may take it, and what must hold. */
final readonly class OrderMove
{
    /**
     * @param  list<Mover>  $by
     * @param  list<MoveCondition>  $conditions
     */
    public function __construct(
        public OrderStatus $from,
        public OrderStatus $to,
        public array $by,
        public array $conditions,
    ) {
    }

    public function isBy(Mover $mover): bool
    {
        return in_array($mover, $this->by, true);
    }

    /** @return list<MoveCondition> what does not hold, in the order of the table */
    public function missing(OrderSituation $situation): array
    {
        return array_values(array_filter($this->conditions, fn (MoveCondition $c) => ! $situation->holds($c)));
    }
}
