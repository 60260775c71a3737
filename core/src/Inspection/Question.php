<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultGroup;
use Ordotype\Core\Standard\Severity;

/** One thing to look at in a check. */
final readonly class Question
{
    /**
     * @param  View|null  $view  null: the whole model, turned in the hand
     * @param  list<string>  $areas  keys of the areas it is about
     * @param  list<string>  $clauses  ids
     * @param  list<string>  $faults  kinds of fault that may be the answer
     * @param  list<AskedThere>  $asked  what clauses ask for, where it is not a look for faults
     * @param  FaultGroup|null  $group  of faults that are looked for
     */
    public function __construct(
        public QuestionKey $key,
        public ?View $view,
        public array $areas,
        public array $clauses,
        public array $faults,
        public bool $mandatory,
        public ?Severity $severity,
        public int $notice,
        public array $asked = [],
        public ?FaultGroup $group = null,
    ) {
    }

    public function isFinalLook(): bool
    {
        return $this->view === null;
    }

    /** Whether it looks for faults, rather than for what clauses ask. */
    public function looksForFaults(): bool
    {
        return $this->asked === [];
    }
}
