<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Amendment\Amendment;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Method\Method;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;

/** Everything a plan depends on. */
final readonly class PlanRequest
{
    /**
     * @param  list<Amendment>  $amendments
     * @param  int  $pieces  how many are painted together
     */
    public function __construct(
        public Standard $standard,
        public Tier $tier,
        public Sculpt $sculpt,
        public ?Scheme $scheme = null,
        public Method $method = new Method,
        public array $amendments = [],
        public Shelf $shelf = new Shelf([]),
        public int $pieces = 1,
    ) {
    }
}
