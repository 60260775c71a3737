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
        return match ($this) {
            self::Planned, self::OnBench, self::Rework => true,
            self::Offered, self::Passed, self::Signed, self::Delivered, self::OnHold, self::Lost,
            self::Cancelled => false,
        };
    }

    /** Whether it is still to be delivered. */
    public function isThere(): bool
    {
        return $this !== self::Lost && $this !== self::Cancelled;
    }

    /** Whether work on it has begun and is not finished. */
    public function isBeingPainted(): bool
    {
        return $this === self::OnBench || $this === self::Rework;
    }

    /** Whether a client still waits for it. */
    public function isToBeDelivered(): bool
    {
        return $this->isThere() && $this !== self::Delivered;
    }

    /** Whether its work is closed, so that a sign-off must be withdrawn or a claim taken up before it can change. */
    public function isClosed(): bool
    {
        return $this === self::Signed || $this === self::Delivered;
    }

    /** Where work goes on when something is added to what was finished. */
    public function afterAddedWork(): self
    {
        return match ($this) {
            self::Offered, self::Rework, self::Passed => self::OnBench,
            self::Planned, self::OnBench, self::Signed, self::Delivered, self::OnHold, self::Lost,
            self::Cancelled => $this,
        };
    }

    /** Whether something is to be done or looked at on the bench. */
    public function isOnBench(): bool
    {
        return match ($this) {
            self::Planned, self::OnBench, self::Rework, self::Offered => true,
            self::Passed, self::Signed, self::Delivered, self::OnHold, self::Lost, self::Cancelled => false,
        };
    }

    /** Whether it is to be looked at or to be signed. */
    public function waitsForCheck(): bool
    {
        return match ($this) {
            self::Offered, self::Rework, self::Passed => true,
            self::Planned, self::OnBench, self::Signed, self::Delivered, self::OnHold, self::Lost,
            self::Cancelled => false,
        };
    }

    /**
     * @param  callable(self): bool  $which
     * @return list<string> words of some stages
     */
    public static function words(callable $which): array
    {
        return array_values(array_map(fn (self $s) => $s->value, array_filter(self::cases(), $which)));
    }
}
