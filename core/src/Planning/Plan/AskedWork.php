<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

/** What is asked of a model, area by area, and what is done on the whole of it. */
final readonly class AskedWork
{
    /** @param  list<AskedArea>  $areas  in the sculpt's order */
    public function __construct(public array $areas, public PlannedArea $whole)
    {
    }
}
