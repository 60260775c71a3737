<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** The table of moves of an order; what is not in it is not possible. */
final class OrderMoves
{
    /** @return list<OrderMove> */
    public static function all(): array
    {
        $office = [Mover::Desk, Mover::Lead];
        $itself = [Mover::Itself];
        $cancelled = fn (OrderStatus $from): OrderMove => new OrderMove(
            $from,
            OrderStatus::Cancelled,
            [Mover::Lead],
            [MoveCondition::Reason],
        );

        return [
            new OrderMove(OrderStatus::Draft, OrderStatus::Quoted, $office, [MoveCondition::UnitWithTierAndPrice]),
            new OrderMove(
                OrderStatus::Quoted,
                OrderStatus::Accepted,
                [Mover::Client, ...$office],
                [MoveCondition::NewestVersion, MoveCondition::WithinDays],
            ),
            new OrderMove(OrderStatus::Quoted, OrderStatus::Draft, [Mover::Client, ...$office], []),
            new OrderMove(
                OrderStatus::Draft,
                OrderStatus::Accepted,
                [Mover::Lead],
                [MoveCondition::SettingQuotesNotAlways],
            ),
            new OrderMove(OrderStatus::Accepted, OrderStatus::InWork, $itself, [
                MoveCondition::FirstRelease,
                MoveCondition::NoBlockingQuestion,
                MoveCondition::ReceivedIfAsked,
                MoveCondition::DuePaymentNotedOrReason,
            ]),
            new OrderMove(
                OrderStatus::InWork,
                OrderStatus::Accepted,
                $itself,
                [MoveCondition::LastReleaseTakenBack],
            ),
            new OrderMove(OrderStatus::InWork, OrderStatus::Done, $itself, [MoveCondition::AllPiecesSettled]),
            new OrderMove(OrderStatus::Done, OrderStatus::Delivered, $itself, [MoveCondition::AllPiecesGone]),
            new OrderMove(OrderStatus::Done, OrderStatus::InWork, $itself, [MoveCondition::SignOffWithdrawn]),
            new OrderMove(OrderStatus::Delivered, OrderStatus::InWork, $itself, [MoveCondition::SignOffWithdrawn]),
            new OrderMove(
                OrderStatus::Delivered,
                OrderStatus::Closed,
                [Mover::Itself, ...$office],
                [MoveCondition::PaidOrReason],
            ),
            new OrderMove(OrderStatus::Delivered, OrderStatus::InWork, $office, [MoveCondition::Claim]),
            new OrderMove(OrderStatus::Closed, OrderStatus::InWork, $office, [MoveCondition::Claim]),
            $cancelled(OrderStatus::Draft),
            $cancelled(OrderStatus::Quoted),
            $cancelled(OrderStatus::Accepted),
            $cancelled(OrderStatus::InWork),
            $cancelled(OrderStatus::Done),
        ];
    }

    /** @return list<OrderMove> those that lead from one to the other and that somebody may take */
    public static function between(OrderStatus $from, OrderStatus $to, Mover $by): array
    {
        return array_values(
            array_filter(self::all(), fn (OrderMove $m) => $m->from === $from && $m->to === $to && $m->isBy($by)),
        );
    }

    /** What an order does by itself as things stand; null: it stays. */
    public static function ofItself(OrderStatus $from, OrderSituation $situation): ?OrderMove
    {
        foreach (self::all() as $move) {
            // What closes it by itself is the calendar, which asks for that move by name.
            $waits = $move->to === OrderStatus::Closed;
            if ($move->from === $from && $move->isBy(Mover::Itself) && ! $waits && $move->missing($situation) === []) {
                return $move;
            }
        }

        return null;
    }
}
