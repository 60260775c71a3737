<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What a payment comes before. */
enum PaymentWhen: string
{
    case OnAcceptance = 'on_acceptance';
    case BeforeBench = 'before_bench';
    case BeforeSending = 'before_sending';
    case OnDay = 'on_day';

    /** Whether work does not begin before it is noted. */
    public function holdsBench(bool $isDayReached): bool
    {
        return match ($this) {
            self::OnAcceptance, self::BeforeBench => true,
            self::BeforeSending => false,
            self::OnDay => $isDayReached,
        };
    }

    /** Whether nothing is sent before it is noted. */
    public function holdsSending(bool $isDayReached): bool
    {
        return $this === self::BeforeSending || $this->holdsBench($isDayReached);
    }
}
