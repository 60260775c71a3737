<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultGroup;

/** The name of a question: the same for the same question in every round. What stands in it is not read back. */
final readonly class QuestionKey
{
    private function __construct(public string $id)
    {
    }

    public static function finalLook(): self
    {
        return new self('final_look');
    }

    /** @param  string  $clause  id of the first clause it asks about */
    public static function ofClause(string $clause, View $view): self
    {
        return new self("clause:$clause:{$view->value}");
    }

    /** @param  FaultGroup|null  $group  null: all that is seen from there, with one look */
    public static function ofFaults(?FaultGroup $group, View $view): self
    {
        return new self('fault:'.($group->value ?? 'any').":{$view->value}");
    }

    /** A name as it was kept. */
    public static function kept(string $id): self
    {
        return new self($id);
    }

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }
}
