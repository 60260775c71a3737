<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** One rung of the ladder, as written: clauses taken from another tier are added by {@see Standard::clausesOf}. */
final readonly class Tier
{
    /**
     * @param  list<Clause>  $clauses  its own
     * @param  string|null  $extends  key of the tier whose clauses it takes
     * @param  list<string>|null  $drop  suffixes of clauses it does not take
     * @param  array<string, Severity>|null  $faults  fault key to its severity here
     */
    public function __construct(
        public string $key,
        public string $name,
        public int $order,
        public TierStatus $status,
        public string $intent,
        public Pace $pace,
        public Aim $aim,
        public Viewing $viewing,
        public array $clauses,
        public ?TechniqueStatus $defaultStatus = null,
        public ?string $extends = null,
        public ?array $drop = null,
        public ?array $faults = null,
    ) {
    }

    /** The same rung planned for the least time, or for the most notice within its minutes. */
    public function aimingAt(Aim $aim): self
    {
        return $this->but(aim: $aim);
    }

    public function retired(): self
    {
        return $this->but(status: TierStatus::Retired);
    }

    /** The same rung without a clause that it takes from the one it extends. */
    public function dropping(string $suffix): self
    {
        return $this->but(drop: [...$this->drop ?? [], $suffix]);
    }

    /**
     * The same rung with just these clauses, and none of another's.
     *
     * @param  list<Clause>  $clauses
     */
    public function saying(array $clauses): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->order,
            $this->status,
            $this->intent,
            $this->pace,
            $this->aim,
            $this->viewing,
            $clauses,
            $this->defaultStatus,
            null,
            null,
            $this->faults,
        );
    }

    /** @param  list<string>|null  $drop */
    private function but(?TierStatus $status = null, ?Aim $aim = null, ?array $drop = null): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->order,
            $status ?? $this->status,
            $this->intent,
            $this->pace,
            $aim ?? $this->aim,
            $this->viewing,
            $this->clauses,
            $this->defaultStatus,
            $this->extends,
            $drop ?? $this->drop,
            $this->faults,
        );
    }

    /** What holds for techniques that no clause names. */
    public function defaultStatus(): TechniqueStatus
    {
        return $this->defaultStatus ?? TechniqueStatus::NotOffered;
    }
}
