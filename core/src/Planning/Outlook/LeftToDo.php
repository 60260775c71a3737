<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\ChosenTechnique;

/** The problem of what is left on an area when some of what is there counts. */
final readonly class LeftToDo
{
    /** @param  list<ChosenTechnique>  $counted  what is there and counts */
    public function __construct(public AreaProblem $problem, public array $counted)
    {
    }
}
