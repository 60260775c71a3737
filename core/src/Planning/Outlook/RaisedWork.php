<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Standard\Technique;

/** What raises finished or half-finished work to a tier: for each area, on the whole model, and in which order. */
final readonly class RaisedWork
{
    /**
     * @param  list<RaisedArea>  $areas
     * @param  list<ChosenTechnique>  $whole  to be done on the whole model, varnish and the final look anew
     * @param  OrderedWork  $work  the added steps alone, pass numbers going on after what is done
     * @param  list<Technique>  $concerns  late work that is there and would be covered, such as decals
     * @param  bool  $isVarnished  so that new paint goes over varnish
     */
    public function __construct(
        public array $areas,
        public array $whole,
        public OrderedWork $work,
        public array $concerns,
        public bool $isVarnished,
    ) {
    }

    /** Hand minutes of what is added to one piece, worked in passes. */
    public function minutes(): float
    {
        return array_sum(array_map(fn ($pass) => $pass->minutes, $this->work->passes));
    }

    /** @return list<Conflict> */
    public function conflicts(): array
    {
        return array_values(
            array_filter(array_map(fn (RaisedArea $a) => $a->conflict, $this->areas), fn (?Conflict $c) => $c !== null),
        );
    }
}
