<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** Everything a plan depends on. */
final readonly class PlanRequest
{
    /**
     * @param  list<Amendment>  $amendments
     * @param  int  $pieces  how many are painted together
     */
    public function __construct(
        public Standard $standard,
        public Tier $tier,
        public Sculpt $sculpt,
        public ?Scheme $scheme = null,
        public Method $method = new Method(),
        public array $amendments = [],
        public Shelf $shelf = new Shelf([]),
        public int $pieces = 1,
        public Arrangement $arrangement = new Arrangement(),
    ) {
    }

    public function at(Tier $tier): self
    {
        return new self(
            $this->standard,
            $tier,
            $this->sculpt,
            $this->scheme,
            $this->method,
            $this->amendments,
            $this->shelf,
            $this->pieces,
            $this->arrangement,
        );
    }

    /** The same by another standard. */
    public function under(Standard $standard, Tier $tier): self
    {
        return new self(
            $standard,
            $tier,
            $this->sculpt,
            $this->scheme,
            $this->method,
            $this->amendments,
            $this->shelf,
            $this->pieces,
            $this->arrangement,
        );
    }

    public function by(Method $method): self
    {
        return new self(
            $this->standard,
            $this->tier,
            $this->sculpt,
            $this->scheme,
            $method,
            $this->amendments,
            $this->shelf,
            $this->pieces,
            $this->arrangement,
        );
    }

    /** An open tier has neither minutes nor a price, until clauses are agreed that make it a plan. */
    public function isQuotedByHand(): bool
    {
        $isAgreed = fn (Amendment $a): bool => $a->action === AmendmentAction::Add;

        return $this->tier->status === TierStatus::Open && array_filter($this->amendments, $isAgreed) === [];
    }

    /** @param  list<Amendment>  $amendments */
    public function amended(array $amendments): self
    {
        return new self(
            $this->standard,
            $this->tier,
            $this->sculpt,
            $this->scheme,
            $this->method,
            $amendments,
            $this->shelf,
            $this->pieces,
            $this->arrangement,
        );
    }

    /** The same work on a piece that is made or coloured otherwise. */
    public function of(Sculpt $sculpt, ?Scheme $scheme): self
    {
        return new self(
            $this->standard,
            $this->tier,
            $sculpt,
            $scheme,
            $this->method,
            $this->amendments,
            $this->shelf,
            $this->pieces,
            $this->arrangement,
        );
    }

    public function arranged(Arrangement $arrangement): self
    {
        return new self(
            $this->standard,
            $this->tier,
            $this->sculpt,
            $this->scheme,
            $this->method,
            $this->amendments,
            $this->shelf,
            $this->pieces,
            $arrangement,
        );
    }
}
