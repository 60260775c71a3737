<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sequencing\Step;

/** What is done on a piece as steps, before it has an order of work. */
final readonly class Draft
{
    /** @param  list<Step>  $steps */
    public function __construct(public ChosenWork $chosen, public array $steps)
    {
    }
}
