<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Severity;

/** One thing that is answered in a look: what a clause asks at one extent, or what can be wrong there. */
final readonly class Checkpoint
{
    /**
     * @param  View|null  $view  null: the whole model, turned in the hand
     * @param  list<string>  $areas  keys of the areas it is about
     * @param  list<string>  $clauses  ids
     * @param  list<string>  $faults  kinds of fault that may be the answer
     * @param  Severity|null  $severity  of the clause, where it says one
     * @param  int  $notice  how soon one notices what it is about
     * @param  Requirement|null  $asked  what is asked for; null: it only looks for faults
     * @param  Aspect|null  $aspect  null: of a check that was opened before there were looks
     */
    public function __construct(
        public CheckpointKey $key,
        public ?View $view,
        public array $areas,
        public array $clauses,
        public array $faults,
        public bool $mandatory,
        public ?Severity $severity,
        public int $notice,
        public ?Requirement $asked = null,
        public ?Aspect $aspect = null,
    ) {
    }

    public function isFinalLook(): bool
    {
        return $this->key->is(CheckpointKey::finalLook());
    }

    /**
     * The same about fewer areas.
     *
     * @param  list<string>  $areas  keys
     */
    public function about(array $areas): self
    {
        return new self(
            $this->key,
            $this->view,
            $areas,
            $this->clauses,
            $this->faults,
            $this->mandatory,
            $this->severity,
            $this->notice,
            $this->asked,
            $this->aspect,
        );
    }
}
