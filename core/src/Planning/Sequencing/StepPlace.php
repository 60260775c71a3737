<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** Area and technique of a step, whichever the pass: what a rule is set aside between. */
final readonly class StepPlace
{
    private function __construct(public string $id)
    {
    }

    /** @param  string|null  $area  key; null: the whole model */
    public static function of(?string $area, string $technique): self
    {
        return new self(($area ?? '*').":$technique");
    }

    /** A place as it was kept: `area:technique`, with `*` for the whole model. */
    public static function kept(string $id): self
    {
        return new self($id);
    }

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }
}
