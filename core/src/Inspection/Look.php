<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;

/** One look at a model: from one side, at one aspect, with all that is answered by it. */
final readonly class Look
{
    /**
     * @param  View|null  $view  null: the whole model, turned in the hand
     * @param  non-empty-list<Checkpoint>  $checkpoints  the most noticed first
     */
    public function __construct(public ?View $view, public Aspect $aspect, public array $checkpoints)
    {
    }

    /** How soon one notices what it is about. */
    public function notice(): int
    {
        return max(array_map(fn (Checkpoint $c) => $c->notice, $this->checkpoints));
    }
}
