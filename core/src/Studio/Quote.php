<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;

/**
 * What a client is asked to pay. Each line is rounded half up to the cent; a discount is a line of its own and comes
 * off painting and ticked extras; then tax by rate over its lines, rounded once a rate. The total is the sum of what is
 * printed, for the price and for the most it can come to.
 */
final readonly class Quote
{
    /**
     * @param  list<QuoteLine>  $lines  units, ticked extras, what came true, and what is beside the painting
     * @param  PerCent|Money|null  $discount  a share of the painting, or an amount
     * @param  PerCent|null  $tax  the studio's, on painting; null: it has none
     * @param  bool  $isTaxIncluded  prices are said with tax
     */
    public function __construct(
        public array $lines,
        public PerCent|Money|null $discount = null,
        public ?PerCent $tax = null,
        public bool $isTaxIncluded = true,
    ) {
    }

    public function total(bool $atMost = false): QuoteTotal
    {
        $sums = array_map(fn (QuoteLine $l) => $l->sum($atMost), $this->lines);
        $discount = $this->discountOf($this->painting($atMost));
        $byRate = [];
        foreach ($this->lines as $i => $line) {
            $rate = $this->rateOf($line);
            if ($rate !== null) {
                $byRate[$rate->decimal()][] = $sums[$i];
            }
        }
        if ($this->tax !== null && $discount->cents !== 0) {
            $byRate[$this->tax->decimal()][] = Money::none()->minus($discount);
        }
        $taxes = [];
        foreach ($byRate as $rate => $amounts) {
            $base = Money::sum($amounts);
            $tax = PerCent::of((string) $rate);
            $taxes[$rate] = $this->isTaxIncluded ? $base->contained($tax) : $base->share($tax);
        }
        $sum = Money::sum($sums)->minus($discount);

        return new QuoteTotal($sums, $discount, $taxes, $this->isTaxIncluded ? $sum : $sum->plus(Money::sum($taxes)));
    }

    /** What a discount comes off. */
    public function painting(bool $atMost = false): Money
    {
        $painting = array_filter($this->lines, fn (QuoteLine $l) => $l->kind->isPainting());

        return Money::sum(array_map(fn (QuoteLine $l) => $l->sum($atMost), $painting));
    }

    /** By how much the painting may come to more, before tax: what could move the price is no more together. */
    public function room(): Money
    {
        return $this->painting(true)->minus($this->painting());
    }

    private function discountOf(Money $painting): Money
    {
        return match (true) {
            $this->discount === null => Money::none(),
            $this->discount instanceof Money => $this->discount,
            default => $painting->share($this->discount),
        };
    }

    private function rateOf(QuoteLine $line): ?PerCent
    {
        return $line->kind->isPainting() ? $this->tax : $line->tax;
    }
}
