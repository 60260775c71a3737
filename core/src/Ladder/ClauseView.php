<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\TechniqueClause;

/** What the ladder and its lint look at of one clause, whatever its kind. */
final readonly class ClauseView
{
    /**
     * @param  bool  $isOfPaint  whether ground must be named for it to speak of ground
     * @param  bool  $hasFloor  whether a rung may ask less of it than the one below
     * @param  bool  $isLookedFor  whether a check looks for it on areas
     * @param  bool  $lowersBar  whether rough work may be used to meet it
     * @param  string|null  $sameness  equal where two rungs do not differ in it; null: its floor tells that alone
     * @param  array{int, int|null}|null  $range  a floor and a ceiling (null: open)
     * @param  Family|null  $allows  the family whose techniques it merely lets be used, or shuts out
     * @param  EffectClause|null  $effect  the clause itself where it asks for a result
     * @param  TechniqueClause|null  $technique  the clause itself where it speaks of techniques
     */
    public function __construct(
        public RowGroup $group,
        public bool $isOfPaint,
        public bool $hasFloor,
        public bool $isLookedFor,
        public bool $lowersBar,
        public ?string $sameness,
        public ?array $range = null,
        public ?Family $allows = null,
        public ?EffectClause $effect = null,
        public ?TechniqueClause $technique = null,
    ) {
    }
}
