<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Severity;

/** One thing to look at in a check. `key` is the same for the same question in every round. */
final readonly class Question
{
    /**
     * @param  View|null  $view  null: the whole model, turned in the hand
     * @param  list<string>  $areas  keys of the areas it is about
     * @param  list<string>  $clauses
     * @param  list<string>  $faults  kinds of fault that may be the answer
     */
    public function __construct(
        public string $key,
        public ?View $view,
        public string $text,
        public array $areas,
        public array $clauses,
        public array $faults,
        public bool $mandatory,
        public ?Severity $severity,
        public int $notice,
    ) {
    }
}
