<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

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

    /** Area (`*`: the whole model), technique and pass; of a masking, the first area it is done for. */
    public static function of(Step $step): self
    {
        return new self(
            $step->place()->id.
                ':'.
                match (true) {
                    $step->sprays !== [] => $step->sprays[0],
                    $step->phase === Phase::JointTidy => 'joint',
                    default => (string) $step->pass,
                },
        );
    }

    /** With the paint, which tells steps apart that pieces of a unit get in different paints. */
    public static function painted(Step $step): self
    {
        return new self(self::of($step)->id.'@'.($step->colour?->words() ?? ''));
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
