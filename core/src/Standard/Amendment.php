<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * What the studio, an order, a unit or a piece adds to a tier, leaves out or changes.
 *
 * `number` is its place in the file or list it came in, from 1: plans name it as `amend.N`.
 */
final readonly class Amendment
{
    /** The word under which the rule that every area gets one base colour can be left out. */
    public const BASE = 'base';

    /**
     * @param  Clause|null  $added  the whole clause, for add
     * @param  ClauseChange|null  $change  what of the clause is set, for set
     * @param  string|null  $price  decimal string with two places
     */
    public function __construct(
        public int $number,
        public AmendmentLevel $level,
        public AmendmentAction $action,
        public ?string $clause,
        public ?string $technique,
        public Scope $scope,
        public string $reason,
        public ?string $price,
        public ?AmendmentSpread $on,
        public ?Clause $added = null,
        public ?int $passes = null,
        public ?Extent $extent = null,
        public ?ClauseChange $change = null,
    ) {
    }

    /** The same amendment for a piece it has been dealt to. */
    public function here(): self
    {
        return new self(
            $this->number,
            $this->level,
            $this->action,
            $this->clause,
            $this->technique,
            $this->scope,
            $this->reason,
            $this->price,
            null,
            $this->added,
            $this->passes,
            $this->extent,
            $this->change,
        );
    }

    public function numbered(int $number): self
    {
        return new self(
            $number,
            $this->level,
            $this->action,
            $this->clause,
            $this->technique,
            $this->scope,
            $this->reason,
            $this->price,
            $this->on,
            $this->added,
            $this->passes,
            $this->extent,
            $this->change,
        );
    }

    public function id(): string
    {
        return "amend.$this->number";
    }
}
