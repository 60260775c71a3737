<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/**
 * The name of a step, which stays when the plan around it changes. Two steps with the same name are the same step;
 * what
 * stands in the name is not read back.
 */
final readonly class StepKey
{
    private function __construct(public string $id)
    {
    }

    /** @param  string  $which  tells steps of one place apart: the pass, or what else there is one of */
    public static function at(StepPlace $place, string $which): self
    {
        return new self("$place->id:$which");
    }

    /** With the paint, which tells steps apart that pieces of a unit get in different paints. */
    public function in(string $paint): self
    {
        return new self("$this->id@$paint");
    }

    /** A step of a repair: by the fault it puts right, and its place among the steps that do. */
    public static function ofRepair(int $fault, int $place): self
    {
        return new self("repair:$fault:$place");
    }

    /** A name as it was kept. */
    public static function kept(string $id): self
    {
        return new self($id);
    }
}
