<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;

/** Everything a tier says of one area (null: of the whole model), clause by clause and joined. */
final readonly class AreaDemand
{
    /** @var list<Requirement> what the clauses ask together */
    public array $requirements;

    /**
     * @param  list<Requirement>  $asked  what each clause asks by itself, in clause order, applicable ones only
     * @param  array<string, bool>  $allowed  by key, techniques that the tier requires or allows here; true where a
     *     clause says so, false where it is the tier's default
     * @param  list<NotApplicable>  $notApplicable
     * @param  array<string, true>  $onRequest  keys of techniques that the client may ask for here
     * @param  bool  $isUnpainted  on purpose: it gets no base colour
     * @param  array<string, float>  $minutes  by key, what a clause says that a technique takes on the model
     */
    public function __construct(
        public ?Area $area,
        public array $asked,
        public array $allowed,
        public array $notApplicable,
        public array $onRequest = [],
        public bool $isUnpainted = false,
        public array $minutes = [],
    ) {
        $this->requirements = Requirement::join($asked);
    }

    /**
     * @template T of Requirement
     *
     * @param  class-string<T>  $kind
     * @return list<T> what is asked of that kind
     */
    public function of(string $kind): array
    {
        return Requirement::only($kind, $this->requirements);
    }

    public function steps(): ?StepsRequirement
    {
        return $this->of(StepsRequirement::class)[0] ?? null;
    }

    /** What is asked of the whole model in sprayed colours, minutes or skill. */
    public function ofModel(ModelFigure $figure): ?ModelRequirement
    {
        foreach ($this->of(ModelRequirement::class) as $requirement) {
            if ($requirement->figure === $figure) {
                return $requirement;
            }
        }

        return null;
    }

    /** The same demand with only some of what was asked; what is allowed stays. */
    public function asking(Requirement ...$asked): self
    {
        return new self(
            $this->area,
            array_values($asked),
            $this->allowed,
            $this->notApplicable,
            $this->onRequest,
            $this->isUnpainted,
            $this->minutes,
        );
    }

    /** The same of the area as another piece has it. */
    public function on(Area $area): self
    {
        $there = fn (NotApplicable $n): NotApplicable => new NotApplicable($area, $n->asked, $n->why);
        $cannot = array_map($there, $this->notApplicable);

        return new self($area, $this->asked, $this->allowed, $cannot, $this->onRequest, $this->isUnpainted);
    }

    /** Whether exactly one technique gives it a base colour. */
    public function needsBase(): bool
    {
        return $this->area !== null && $this->area->rank !== Rank::Ground && ! $this->isUnpainted;
    }

    /** The same with effects one extent less (a spot is dropped) and in one pass less, but never below one. */
    public function simpler(Reason $because): self
    {
        $simpler = array_map(fn (Requirement $r) => $r->simpler($because), $this->asked);

        return $this->asking(...array_filter($simpler, fn (?Requirement $r) => $r !== null));
    }
}
