<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Standard\Amendment;

/** What is particular to one piece of a unit. */
final readonly class PieceNeeds
{
    /**
     * @param  list<string>  $lacks  keys of areas the piece does not have
     * @param  list<Amendment>  $amendments  of level piece
     * @param  array<string, Choice>  $edits  techniques chosen by hand, by area
     */
    public function __construct(
        public int $number,
        public array $lacks = [],
        public array $amendments = [],
        public array $edits = [],
    ) {
    }
}
