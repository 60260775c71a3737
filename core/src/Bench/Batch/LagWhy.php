<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** Why one operation comes after another. */
enum LagWhy: string
{
    case Order = 'order';
    case Drying = 'drying';
    case Coats = 'coats';
    case Slips = 'slips';
    case Wet = 'wet';
    case Gate = 'gate';
    case TestModel = 'test_model';

    /** Whether somebody is waited for, and not paint. */
    public function isAnswer(): bool
    {
        return match ($this) {
            self::Gate, self::TestModel => true,
            self::Order, self::Drying, self::Coats, self::Slips, self::Wet => false,
        };
    }
}
