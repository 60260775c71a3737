<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;

/**
 * Something on the ladder that cannot be meant so: where, which clauses, what it rests on, and the change that mends
 * it.
 */
final readonly class Finding
{
    /**
     * @param  list<Clause>  $clauses
     * @param  list<Change>  $edits  the proposed change; empty where only a person can say what is meant
     * @param  Tier|null  $lower  the rung below, for what is told of two
     * @param  AreaKind|null  $where  a kind of area on which it shows; null: the whole model
     * @param  list<Technique>  $techniques  that would help
     * @param  Sculpt|null  $figure  it shows on, with the area
     * @param  int|null  $grade  of the best work that is allowed
     * @param  float|null  $markMm  the widest mark it leaves
     * @param  float|null  $visibleMm  what the sharpest eye sees at the tier's distance
     * @param  float|null  $shown  L* that light alone makes
     * @param  View|null  $unseen  the view from which nobody looks
     * @param  float|null  $minutes  that the figure takes
     * @param  int|null  $enough  minutes that would be enough
     * @param  PriceRange|null  $price  as it would cover the cost
     */
    public function __construct(
        public FindingKind $kind,
        public Tier $tier,
        public array $clauses,
        public array $edits = [],
        public ?Tier $lower = null,
        public ?AreaKind $where = null,
        public array $techniques = [],
        public bool $isInScope = false,
        public ?Sculpt $figure = null,
        public ?Area $area = null,
        public ?Conflict $conflict = null,
        public ?int $grade = null,
        public ?float $markMm = null,
        public ?float $visibleMm = null,
        public ?View $unseen = null,
        public ?float $minutes = null,
        public ?int $enough = null,
        public ?PriceRange $price = null,
        public ?float $shown = null,
    ) {
    }
}
