<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What must hold before an order moves, or what moves it by itself. */
enum MoveCondition: string
{
    case UnitWithTierAndPrice = 'unit_with_tier_and_price';
    case NewestVersion = 'newest_version';
    case WithinDays = 'within_days';
    case SettingQuotesNotAlways = 'setting_quotes_not_always';
    case FirstRelease = 'first_release';
    case NoBlockingQuestion = 'no_blocking_question';
    case ReceivedIfAsked = 'received_if_asked';
    case DuePaymentNotedOrReason = 'due_payment_noted_or_reason';
    case LastReleaseTakenBack = 'last_release_taken_back';
    case AllPiecesSettled = 'all_pieces_signed_delivered_lost_or_cancelled';
    case AllPiecesGone = 'all_pieces_delivered_lost_or_cancelled';
    case SignOffWithdrawn = 'sign_off_withdrawn';
    case PaidOrReason = 'paid_or_reason';
    case Claim = 'claim';
    case Reason = 'reason';
}
