<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** How far an order has come. */
enum OrderStatus: string
{
    case Draft = 'draft';
    case Quoted = 'quoted';
    case Accepted = 'accepted';
    case InWork = 'in_work';
    case Done = 'done';
    case Delivered = 'delivered';
    case Closed = 'closed';
    case Cancelled = 'cancelled';

    /** Whether nothing of it has gone to the bench. */
    public function isBeforeWork(): bool
    {
        return match ($this) {
            self::Draft, self::Quoted, self::Accepted => true,
            self::InWork, self::Done, self::Delivered, self::Closed, self::Cancelled => false,
        };
    }

    /** Whether nothing is left to do. */
    public function isFinished(): bool
    {
        return match ($this) {
            self::Done, self::Delivered, self::Closed, self::Cancelled => true,
            self::Draft, self::Quoted, self::Accepted, self::InWork => false,
        };
    }

    /** Whether it has left the studio: only a claim takes it up again. */
    public function hasLeft(): bool
    {
        return match ($this) {
            self::Delivered, self::Closed => true,
            self::Draft, self::Quoted, self::Accepted, self::InWork, self::Done, self::Cancelled => false,
        };
    }

    /** Whether nothing more will happen to it: no claim comes in, nothing is sent. */
    public function isOver(): bool
    {
        return match ($this) {
            self::Closed, self::Cancelled => true,
            self::Draft, self::Quoted, self::Accepted, self::InWork, self::Done, self::Delivered => false,
        };
    }

    /** @return list<string> words of those where nothing is left to do */
    public static function finished(): array
    {
        $finished = array_filter(self::cases(), fn (self $s) => $s->isFinished());

        return array_values(array_map(fn (self $s) => $s->value, $finished));
    }
}
