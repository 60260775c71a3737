<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

/** Where a piece stands on its way through the studio. */
enum Stage: string
{
    case Planned = 'planned';
    case OnBench = 'on_bench';
    case Offered = 'offered';
    case Rework = 'rework';
    case Passed = 'passed';
    case Signed = 'signed';
    case Delivered = 'delivered';
    case OnHold = 'on_hold';
    case Lost = 'lost';
    case Cancelled = 'cancelled';

    /** Whether steps may be marked on it. */
    public function isAtWork(): bool
    {
        return in_array($this, [self::Planned, self::OnBench, self::Rework], true);
    }

    /** Whether it is still to be delivered. */
    public function isThere(): bool
    {
        return $this !== self::Lost && $this !== self::Cancelled;
    }

    /** Whether its work is closed, so that a sign-off must be withdrawn or a claim taken up before it can change. */
    public function isClosed(): bool
    {
        return $this === self::Signed || $this === self::Delivered;
    }

    /** Where work goes on when something is added to what was finished. */
    public function afterAddedWork(): self
    {
        return in_array($this, [self::Offered, self::Rework, self::Passed], true) ? self::OnBench : $this;
    }
}
