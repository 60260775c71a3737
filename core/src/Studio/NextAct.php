<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Bench\Stage;

/** What an order wants next: the one act that its page names. */
enum NextAct: string
{
    case AddUnit = 'add_unit';
    case Quote = 'quote';
    case Accept = 'accept';
    case Answer = 'answer';
    case Receive = 'receive';
    case NotePayment = 'note_payment';
    case Release = 'release';
    case Resume = 'resume';
    case Work = 'work';
    case Check = 'check';
    case Sign = 'sign';
    case Send = 'send';
    case Close = 'close';
    case SendBack = 'send_back';

    /**
     * @param  bool  $isHeld  on hold
     * @param  bool  $isAllReleased  every unit is on the bench
     * @param  bool  $isThere  models of a cancelled order are still in the studio
     */
    public static function of(
        OrderStatus $status,
        OrderSituation $so,
        bool $isHeld,
        bool $isAllReleased,
        bool $isThere,
    ): ?self {
        return match ($status) {
            OrderStatus::Draft => match (true) {
                $so->pieces === [] => self::AddUnit,
                $so->quotes === QuotesSetting::Never => self::Accept,
                default => self::Quote,
            },
            OrderStatus::Quoted => self::Accept,
            OrderStatus::Accepted, OrderStatus::InWork, OrderStatus::Done => self::inTheStudio(
                $so,
                $isHeld,
                $isAllReleased,
            ),
            OrderStatus::Delivered => $so->isPaid ? self::Close : self::NotePayment,
            OrderStatus::Closed => null,
            OrderStatus::Cancelled => $isThere ? self::SendBack : null,
        };
    }

    private static function inTheStudio(OrderSituation $so, bool $isHeld, bool $isAllReleased): self
    {
        $any = fn (Stage ...$of): bool => array_filter($so->pieces, fn (Stage $s) => in_array($s, $of, true)) !== [];

        return match (true) {
            $isHeld => self::Resume,
            ! $isAllReleased && $so->isHeldByQuestion => self::Answer,
            ! $isAllReleased && ! $so->isReceived => self::Receive,
            ! $isAllReleased && ! $so->isDuePaid => self::NotePayment,
            ! $isAllReleased => self::Release,
            $any(Stage::Passed) => self::Sign,
            $any(Stage::Offered) => self::Check,
            $any(Stage::Planned, Stage::OnBench, Stage::Rework, Stage::OnHold) => self::Work,
            default => self::Send,
        };
    }
}
