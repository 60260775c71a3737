<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Studio\LineFault;
use Ordotype\Core\Studio\MoveCondition;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\NextAct;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\QuotesSetting;
use Ordotype\Core\Studio\UnitLine;

/** What is said of an order on its way. */
final class OrderLifeWords
{
    /** Why nothing is added to an order that is over. */
    public static function noMore(OrderStatus $status): string
    {
        return 'This order is '.Terms::orderStatus($status).': nothing is added to it. Open another one.';
    }

    /** Of a state that nobody leads an order to from where it stands. */
    public static function noWay(OrderStatus $from, OrderStatus $to, Mover $by): string
    {
        return sprintf(
            'An order that is %s does not become %s by %s.',
            Terms::orderStatus($from),
            Terms::orderStatus($to),
            self::mover($by),
        );
    }

    public static function mover(Mover $mover): string
    {
        return match ($mover) {
            Mover::Client => 'the client',
            Mover::Desk => 'the desk',
            Mover::Lead => 'the lead',
            Mover::Itself => 'itself',
        };
    }

    /** What does not hold, as a sentence. */
    public static function missing(MoveCondition $condition): string
    {
        return match ($condition) {
            MoveCondition::UnitWithTierAndPrice => 'There is no unit yet, or one of them has no price.',
            MoveCondition::NewestVersion => 'There is a newer version of the quote.',
            MoveCondition::WithinDays => 'The days of the quote have run out: renew it first.',
            MoveCondition::SettingQuotesNotAlways => 'This studio quotes every order before it is accepted.',
            MoveCondition::FirstRelease => 'No unit has been released to the bench.',
            MoveCondition::NoBlockingQuestion => 'A question to the client holds it up and is not answered.',
            MoveCondition::ReceivedIfAsked => 'The models have not been received.',
            MoveCondition::DuePaymentNotedOrReason => 'A payment that comes before the bench is not noted.',
            MoveCondition::LastReleaseTakenBack => 'Units of it are on the bench.',
            MoveCondition::AllPiecesSettled => 'Models of it are not signed off yet.',
            MoveCondition::AllPiecesGone => 'Models of it have not been sent yet.',
            MoveCondition::SignOffWithdrawn => 'No sign-off of it was withdrawn.',
            MoveCondition::PaidOrReason => 'Not everything is paid: note it, or say why it is closed all the same.',
            MoveCondition::Claim => 'Say what is wrong, and with which models.',
            MoveCondition::Reason => 'Say why.',
        };
    }

    /** What a button says that leads to the next act. */
    public static function act(NextAct $act): string
    {
        return match ($act) {
            NextAct::AddUnit => 'Add a unit',
            NextAct::Quote => 'Make the quote',
            NextAct::Accept => 'Note the yes',
            NextAct::Answer => 'Note the answer',
            NextAct::Receive => 'Receive the models',
            NextAct::NotePayment => 'Note the payment',
            NextAct::Release => 'Plan and release',
            NextAct::Resume => 'Go on with it',
            NextAct::Work => 'To the bench',
            NextAct::Check => 'Check the models',
            NextAct::Sign => 'Sign off',
            NextAct::Send => 'Send the models',
            NextAct::Close => 'Close the order',
            NextAct::SendBack => 'Send the models back',
        };
    }

    /** What holds the order up, or what it waits for. */
    public static function waits(NextAct $act): string
    {
        return match ($act) {
            NextAct::AddUnit => 'Nothing is in it yet: add the models and their tier.',
            NextAct::Quote => 'It is an enquiry: the client waits for a price.',
            NextAct::Accept => 'It waits for the client’s yes.',
            NextAct::Answer => 'A question to the client holds it up.',
            NextAct::Receive => 'The models are not here yet.',
            NextAct::NotePayment => 'A payment is due and not noted.',
            NextAct::Release => 'A unit waits to be released to the bench.',
            NextAct::Resume => 'It is on hold.',
            NextAct::Work => 'It is being painted.',
            NextAct::Check => 'Models wait for their check.',
            NextAct::Sign => 'Models passed and wait to be signed off.',
            NextAct::Send => 'It is finished and waits to be sent.',
            NextAct::Close => 'It was delivered; the days for claims run.',
            NextAct::SendBack => 'It was cancelled, and the client’s models are still here.',
        };
    }

    public static function payment(PaymentWhen $when): string
    {
        return match ($when) {
            PaymentWhen::OnAcceptance => 'on acceptance',
            PaymentWhen::BeforeBench => 'before the bench',
            PaymentWhen::BeforeSending => 'before sending',
            PaymentWhen::OnDay => 'on a day',
        };
    }

    public static function quotes(QuotesSetting $setting): string
    {
        return match ($setting) {
            QuotesSetting::Always => 'every order is quoted first',
            QuotesSetting::WhenAsked => 'a quote where one is asked for',
            QuotesSetting::Never => 'prices are agreed by hand',
        };
    }

    /** What somebody who moves an order there does. */
    public static function move(OrderStatus $from, OrderStatus $to): string
    {
        return match ($to) {
            OrderStatus::Draft => 'Back to the enquiry',
            OrderStatus::Quoted => 'Note the quote',
            OrderStatus::Accepted => $from === OrderStatus::Draft ? 'Accept by hand' : 'Note the yes',
            OrderStatus::InWork => 'Take up a claim',
            OrderStatus::Closed => 'Close the order',
            OrderStatus::Cancelled => 'Cancel the order',
            OrderStatus::Done, OrderStatus::Delivered => Terms::orderStatus($to),
        };
    }

    public static function line(LineFault $fault): string
    {
        return match ($fault) {
            LineFault::NoNumber => 'it does not begin with a number and a figure, such as “12 Sluice Warden, Company”.',
            LineFault::Count => 'from 1 to '.UnitLine::MOST.' models make a unit.',
            LineFault::Figure => 'there is no figure of that name, or more than one begins like that.',
            LineFault::NoTier => 'the tier is missing; it comes after a comma.',
            LineFault::Tier => 'there is no tier of that name, or more than one begins like that.',
        };
    }

    /** A stop of its road. */
    public static function stop(OrderStatus $from, OrderStatus $to, bool $isFromBefore): string
    {
        return match (true) {
            $isFromBefore => 'Before quotes were kept',
            $to === OrderStatus::InWork && $from !== OrderStatus::Accepted => 'Taken up again',
            $to === OrderStatus::Accepted && $from === OrderStatus::InWork => 'Taken back from the bench',
            $to === OrderStatus::Draft => 'Back to the enquiry',
            $to === OrderStatus::InWork => 'On the bench',
            $to === OrderStatus::Done => 'Finished',
            default => ucfirst(Terms::orderStatus($to)),
        };
    }
}
