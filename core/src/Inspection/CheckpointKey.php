<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;

/** The name of a checkpoint: the same for the same one in every round. What stands in it is not read back. */
final readonly class CheckpointKey
{
    /** What is kept of it, in bytes. */
    private const LONGEST = 180;

    private function __construct(public string $id)
    {
    }

    public static function finalLook(): self
    {
        return new self('final_look');
    }

    /**
     * @param  string  $clause  id of the first clause that asks it
     * @param  string  $what  asked for: the same for the same thing
     */
    public static function ofClause(?View $view, Aspect $aspect, string $clause, string $what): self
    {
        $id = $aspect->in($view)." $clause $what";

        return new self(strlen($id) > self::LONGEST ? substr($id, 0, self::LONGEST - 41).' '.sha1($id) : $id);
    }

    public static function ofFaults(?View $view, Aspect $aspect): self
    {
        return new self($aspect->in($view).' faults');
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
