<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Formats\Read;
use App\Models\Client;
use App\Models\Order;
use App\Models\Studio;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\Today;
use Ordotype\Core\Studio\Letter;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\LetterWords;

/** What there is to write to a client about as an order stands, in prepared words; nothing is sent by reading them. */
final class LettersForOrder
{
    /** Days without an answer before a reminder is prepared. */
    private const REMINDER = 7;

    public function __construct(private readonly Quoting $quoting, private readonly Today $today)
    {
    }

    /** Whether this machine has a way to send letters. */
    public static function maySend(): bool
    {
        return ! in_array(config('mail.default'), [null, '', 'log', 'array'], true);
    }

    /** @return array{reach: string|null, may_send: bool, page: string, data: list<array<string, string>>} */
    public function of(Order $order): array
    {
        $version = $this->quoting->newest($order);
        $open = $version?->state === QuoteState::Open ? $version : null;
        $question = $order->questions()->whereNotNull('asked_by')->whereNull('answered_at')->latest('id')->first();
        $day = $order->promised_on?->format('Y-m-d');
        $isLate = $day !== null && $day < $this->today->day() && ! $order->status->isFinished();
        $waits = $open === null ? 0 : (int) $open->made_at->diffInDays(now());
        $about = array_keys(array_filter([
            Letter::Quote->value => $open !== null,
            Letter::Reminder->value => $waits >= self::REMINDER,
            Letter::Question->value => $question !== null,
            Letter::NewDay->value => $isLate,
            Letter::Ready->value => $order->status === OrderStatus::Done,
            Letter::Sent->value => $order->status === OrderStatus::Delivered,
        ]));
        $currency = Studio::row()->currency;
        $sums = $open === null ? null : QuoteBody::of($open->body)->sums([]);
        $parcel = $order->parcels()->where('direction', 'out')->latest('id')->first();
        $of = [
            'price' => $sums === null ? null : Read::money($sums['price'], $currency),
            'ceiling' => $sums === null ? null : Read::money($sums['ceiling'], $currency),
            'until' => $open === null ? null : Read::day($open->valid_until),
            'day' => '[the new day]',
            'question' => $question?->text,
            'way' => $parcel === null
                ? ''
                : " by $parcel->way".($parcel->tracking === null ? '' : ", number $parcel->tracking"),
        ];

        return [
            'reach' => $order->client_id === null ? null : Client::query()->find($order->client_id)?->reach,
            'may_send' => self::maySend(),
            'page' => LetterWords::PAGE,
            'data' => array_map(
                fn (string $letter) => [
                    'about' => LetterWords::about(Letter::from($letter)),
                    'subject' => LetterWords::subject(Letter::from($letter), $order->title),
                    'text' => LetterWords::text(Letter::from($letter), $order->client, Studio::row()->name, $of),
                ],
                $about,
            ),
        ];
    }
}
