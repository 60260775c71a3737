<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** Why a quote does not go out as it is. */
enum QuoteFault
{
    case NoUnits;
    /** Nobody said a price, or the most it can come to. */
    case NoPrice;
    /** What could move the price comes to more than the ceiling leaves. */
    case AboveCeiling;
    /** The discount is more than what it comes off. */
    case DiscountTooLarge;
    /** Payments by sums are more than the price. */
    case PaymentsTooLarge;
}
