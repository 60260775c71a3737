<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\QuoteChange;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuoteFault;
use Ordotype\Core\Studio\QuoteItem;
use Ordotype\Core\Studio\QuoteLineKind;
use Ordotype\Core\Studio\QuoteState;

/** What is said of quotes. Amounts go beside the words, so that each place writes them in its own way. */
final class QuoteWords
{
    /** @param  string|null  $unit  what it is about */
    public static function fault(QuoteFault $fault, ?string $unit): string
    {
        return match ($fault) {
            QuoteFault::NoUnits => 'There is no unit with models in it.',
            QuoteFault::NoPrice => "$unit has no price, or nobody said the most it can come to.",
            QuoteFault::AboveCeiling => 'What moves the price comes to more than the ceilings leave. '.
                'Name less of it, or let it be a new version when it happens.',
            QuoteFault::DiscountTooLarge => 'The discount is more than what it comes off.',
            QuoteFault::PaymentsTooLarge => 'The payments are more than the price.',
        };
    }

    /** Why a version is not answered once more. */
    public static function isAnswered(QuoteState $state): string
    {
        return match ($state) {
            QuoteState::Open => 'This version waits for its answer.',
            QuoteState::Accepted => 'This version was accepted already.',
            QuoteState::Refused => 'This version was refused already.',
            QuoteState::Replaced => 'A newer version took the place of this one.',
        };
    }

    public static function state(QuoteState $state): string
    {
        return match ($state) {
            QuoteState::Open => 'waits for an answer',
            QuoteState::Accepted => 'accepted',
            QuoteState::Refused => 'refused',
            QuoteState::Replaced => 'replaced by a newer one',
        };
    }

    public static function noMore(OrderStatus $status): string
    {
        return 'This order is '.Terms::orderStatus($status).': nothing more of it is quoted.';
    }

    public static function end(QuoteEnd $end): string
    {
        return match ($end) {
            QuoteEnd::Ceiling => 'a price, and the most it can come to',
            QuoteEnd::Fixed => 'a price that stands',
        };
    }

    public static function kind(QuoteLineKind $kind): string
    {
        return match ($kind) {
            QuoteLineKind::Unit => 'painting',
            QuoteLineKind::Extra => 'an extra',
            QuoteLineKind::CameTrue => 'what moved the price',
            QuoteLineKind::Kit => 'kit bought for the client',
            QuoteLineKind::Postage => 'postage',
            QuoteLineKind::Rush => 'rush',
            QuoteLineKind::Storage => 'storage',
            QuoteLineKind::Other => 'something else',
        };
    }

    /** A client who would have a unit at another tier, and what they say to it. */
    public static function wishesTier(string $tier, string $text): string
    {
        return "I would have this at $tier.".($text === '' ? '' : " $text");
    }

    /** A client's word on a test model. */
    public static function onTestModel(bool $goesAhead, string $text): string
    {
        return ($goesAhead ? 'The test model: go ahead.' : 'The test model: change this.').
            ($text === '' ? '' : " $text");
    }

    /**
     * What a version has otherwise than the one before.
     *
     * @return array{sign: string, words: string, amount: string} whether it makes the price more or less, or is
     *     otherwise; the sum it is now, or was
     */
    public static function change(QuoteChange $change): array
    {
        [$was, $is] = [$change->was, $change->is];
        if ($was === null || $is === null) {
            $item = $is ?? $was;
            assert($item !== null);

            $isLess = $item->sum()->isLessThan(Money::none());

            return [
                'sign' => ($was === null) !== $isLess ? '+' : '-',
                'words' => self::item($item),
                'amount' => ($isLess ? Money::none()->minus($item->sum()) : $item->sum())->decimal(),
            ];
        }
        $said = [];
        if ($was->count !== $is->count) {
            $said[] = "$is->count instead of $was->count";
        }
        if ($was->tier !== $is->tier) {
            $said[] = "$is->tier instead of $was->tier";
        }
        if ($said === [] && $was->words !== $is->words) {
            $said[] = "was $was->words";
        }

        return [
            'sign' => '~',
            'words' => $is->words.': '.($said === [] ? 'another price' : implode(', ', $said)),
            'amount' => $is->sum()->decimal(),
        ];
    }

    private static function item(QuoteItem $item): string
    {
        return ($item->count > 1 ? "$item->count × " : '').
            $item->words.
            ($item->tier === null ? '' : " at $item->tier");
    }
}
