<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** What a check makes of one requirement. */
final readonly class RequirementInCheck
{
    /**
     * @param  Aspect|null  $aspect  which look it belongs to; null: to what the surface is
     * @param  list<string>  $faults  keys of what a shortfall of it is called
     * @param  list<string>  $amount  how much is asked, as checkpoints are told apart by it
     * @param  bool  $isToBeThere  what is to be there must be answered; how it is finished need not
     * @param  bool  $isTurning  whether it is the last look at the whole model itself that is asked for
     */
    public function __construct(
        public ?Aspect $aspect,
        public array $faults,
        public array $amount,
        public bool $isToBeThere,
        public bool $isTurning = false,
    ) {
    }
}
