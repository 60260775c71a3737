<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Studio\MoveCondition;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Words\OrderLifeWords;

/** What an order does not do as it stands. */
final class OrderRefused extends Refusal
{
    /** There is no such way in the table of moves. */
    public static function noSuchMove(OrderStatus $from, OrderStatus $to, Mover $by): self
    {
        return new self(OrderLifeWords::noWay($from, $to, $by), '/to', 409);
    }

    /** @param  non-empty-list<MoveCondition>  $missing */
    public static function conditionsMissing(array $missing): self
    {
        return new self(
            implode(' ', array_map(OrderLifeWords::missing(...), $missing)),
            in_array(MoveCondition::Reason, $missing, true) ? '/reason' : '/to',
            409,
        );
    }

    /** Work is not begun while an order is on hold. */
    public static function onHold(string $reason): self
    {
        return new self("The order is on hold: $reason", '', 409);
    }

    /** Plans are the lead's. */
    public static function amendsNot(): self
    {
        return new self('The lead says what an answer changes. Note it without an amendment.', '/amendment', 403);
    }

    /** An order that is over takes nothing more. */
    public static function over(OrderStatus $status): self
    {
        $words = OrderLifeWords::noMore($status);

        return new self($words, '', 409);
    }

    /** One name, one client. */
    public static function clientThere(string $name): self
    {
        return new self("There is another client called $name. Give their orders to one of the two.", '/name', 409);
    }

    /** What is under way is done with or ended first. */
    public static function clientHasOpen(string $number): self
    {
        return new self("Order $number is not closed. A client is erased when all their orders are.", '', 409);
    }

    /** Nothing waits that could go on. */
    public static function notOnHold(): self
    {
        return new self('This order is not on hold.', '', 409);
    }

    /** The money comes first, unless the lead says why not. */
    public static function paymentBeforeSending(): self
    {
        return new self(
            'A payment that comes before sending is not noted. Note it, or let the lead say why it goes all the same.',
            '/reason',
            409,
        );
    }

    /** Payments that do not make one plan. */
    public static function payments(string $why, string $pointer): self
    {
        return new self($why, $pointer);
    }

    /** A payment that was noted is part of the books. */
    public static function paymentNoted(): self
    {
        return new self('A payment that was noted stays: take its note back first.', '/payments', 409);
    }

    /** What is on the bench is one with its release. */
    public static function unitReleased(): self
    {
        return new self('This unit is on the bench: its models, number and release stay together.', '', 409);
    }

    /** Pieces that are none of it, or all of it. */
    public static function notToSplit(): self
    {
        return new self('Split off some of its models, not none and not all.', '/pieces');
    }

    /** A line nobody can read as a unit. */
    public static function line(int $number, string $why): self
    {
        return new self("Line $number: $why", '/lines');
    }

    /** Models that are not ready to be sent, or are not of the order. */
    public static function notToSend(string $which): self
    {
        return new self("$which cannot be sent: only what is signed off, or was cancelled, leaves.", '/pieces', 409);
    }

    /** A unit or model of another order, or none where one is wanted. */
    public static function notOfOrder(string $pointer): self
    {
        return new self('Say which unit or model of this order it is about.', $pointer);
    }

    /** Something was written down of a model: it is lost or cancelled, not taken out. */
    public static function pieceHasHistory(string $code): self
    {
        return new self("Something was done or noted of model $code already: cancel it instead.", '', 409);
    }

    /** A price of a unit lies in the range of its tier. */
    public static function notOnTheCard(string $low, ?string $high): self
    {
        $range = $high === null ? "$low and up" : "$low to $high";

        return new self("The card has $range for this: a lower price is a discount on the quote.", '/price');
    }

    /** A question is answered once. */
    public static function answered(): self
    {
        return new self('This question was answered already.', '', 409);
    }
}
