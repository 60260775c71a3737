<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;

/** One of the payments of an order: a sum, or a share of the whole in per cent. */
final readonly class Payment
{
    public const MOST = 4;

    public function __construct(public PaymentWhen $when, public ?Money $sum, public ?int $percent)
    {
    }

    /**
     * What each comes to: a share is of the whole, rounded half up once; the last one takes the rest.
     *
     * @param  list<self>  $payments
     * @return list<Money>
     */
    public static function sums(Money $whole, array $payments): array
    {
        $sums = [];
        $left = $whole->cents;
        foreach ($payments as $i => $payment) {
            $own = $payment->sum->cents ?? $whole->share(PerCent::of((string) $payment->percent))->cents;
            $cents = $i === count($payments) - 1 ? $left : min($left, $own);
            $sums[] = Money::ofCents($cents);
            $left -= $cents;
        }

        return $sums;
    }
}
