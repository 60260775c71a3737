<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Studio\OrderStatus;

/** How far an order is, in a client's words: no process, and nothing of single models. */
final class ClientWords
{
    public static function stands(OrderStatus $status): string
    {
        return match ($status) {
            OrderStatus::Draft => 'being prepared',
            OrderStatus::Quoted => 'waits for your answer',
            OrderStatus::Accepted => 'agreed',
            OrderStatus::InWork => 'being painted',
            OrderStatus::Done => 'finished',
            OrderStatus::Delivered, OrderStatus::Closed => 'delivered',
            OrderStatus::Cancelled => 'cancelled',
        };
    }

    /** One of four words for where a model is; null: it is not made any more. */
    public static function progress(Stage $stage): ?string
    {
        return match ($stage) {
            Stage::Planned, Stage::OnHold => 'waiting',
            Stage::OnBench, Stage::Rework => 'being painted',
            Stage::Offered, Stage::Passed => 'in its last check',
            Stage::Signed, Stage::Delivered => 'finished',
            Stage::Lost, Stage::Cancelled => null,
        };
    }
}
