<?php

declare(strict_types=1);

namespace App\Actions\Sharing;

use App\Actions\Orders\QuoteOrder;
use App\Exceptions\OrderRefused;
use App\Exceptions\QuoteRefused;
use App\Exceptions\RequestRefused;
use App\Models\Order;
use App\Models\QuoteRow;
use App\Models\ShareLink;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use App\Studio\ClientPage;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\QuoteWords;

/** What a client does by their page. Nobody is signed in, so that what is pressed twice is known by what it says. */
final class AnswerByPage
{
    public function __construct(
        private readonly QuoteOrder $quotes,
        private readonly Standards $standards,
        private readonly ActivityLog $log,
    ) {
    }

    /** @param  list<string>  $ticks  ids of the extras that are taken */
    public function accept(ShareLink $link, int $number, string $name, bool $ofAge, array $ticks): Order
    {
        return $this->on($link, function (Order $order) use ($number, $name, $ofAge, $ticks): void {
            if (! $ofAge) {
                throw QuoteRefused::notOfAge();
            }
            $version = self::version($order, $number);
            $isSaid = $version->state === QuoteState::Accepted &&
                $version->answered_by === $name &&
                array_diff($ticks, $version->ticks ?? []) === array_diff($version->ticks ?? [], $ticks);
            if (! $isSaid) {
                $this->quotes->accept($order, $version, Mover::Client, $name, null, $ticks);
            }
        });
    }

    public function refuse(ShareLink $link, int $number, string $name, string $reason): Order
    {
        return $this->on($link, function (Order $order) use ($number, $name, $reason): void {
            $version = self::version($order, $number);
            if ($version->state !== QuoteState::Refused || $version->answered_by !== $name) {
                $this->quotes->refuse($order, $version, Mover::Client, $name, $reason);
            }
        });
    }

    /**
     * The client asks, or wishes something.
     *
     * @param  array{tier?: string, go_ahead?: bool}|null  $wish
     */
    public function ask(ShareLink $link, string $name, string $text, ?int $unit, ?array $wish = null): Order
    {
        return $this->on($link, function (Order $order) use ($name, $text, $unit, $wish): void {
            if ($unit !== null && $order->units()->whereKey($unit)->doesntExist()) {
                throw OrderRefused::notOfOrder('/unit');
            }
            $same = ['unit_id' => $unit, 'text' => $text, 'asked_name' => $name, 'asked_by' => null];
            if ($order->questions()->where($same)->whereNull('answered_at')->exists()) {
                return;
            }
            $question = $order->questions()->create($same + ['wish' => $wish, 'asked_at' => now()]);
            $this->log->write('question.from_client', $question, null, ['text' => $text, 'wish' => $wish]);
        });
    }

    /** The client would have a unit at another tier. */
    public function wishTier(ShareLink $link, string $name, string $text, int $unit, string $key): Order
    {
        $tier = null;
        foreach ($this->standards->core(ClientPage::order($link)->version)->tiers as $offered) {
            $tier = $offered->key === $key && $offered->status === TierStatus::Offered ? $offered : $tier;
        }
        if ($tier === null) {
            throw QuoteRefused::named('This studio offers no tier of that name.', '/tier');
        }

        return $this->ask($link, $name, QuoteWords::wishesTier($tier->name, $text), $unit, ['tier' => $key]);
    }

    /** The client’s word on a test model: go ahead, or change something. */
    public function judgeTest(ShareLink $link, string $name, string $text, int $unit, bool $goAhead): Order
    {
        if (! $goAhead && $text === '') {
            throw QuoteRefused::named('Say what you would have otherwise.', '/text');
        }

        return $this->ask($link, $name, QuoteWords::onTestModel($goAhead, $text), $unit, ['go_ahead' => $goAhead]);
    }

    /** The client answers what they were asked. */
    public function reply(ShareLink $link, int $question, string $name, string $text): Order
    {
        return $this->on($link, function (Order $order) use ($question, $name, $text): void {
            $asked = $order->questions()->whereNotNull('asked_by')->whereKey($question)->lockForUpdate()->first() ??
                throw RequestRefused::linkShowsNothing();
            if ($asked->answered_at !== null && $asked->answer === $text) {
                return;
            }
            if ($asked->answered_at !== null) {
                throw OrderRefused::answered();
            }
            $asked->update(['answer' => $text, 'answered_by' => $name, 'answered_at' => now()]);
            $this->log->write('question.answered', $asked, null, ['answer' => $text]);
        });
    }

    /** @param  callable(Order): void  $do  with the order locked */
    private function on(ShareLink $link, callable $do): Order
    {
        return DB::transaction(function () use ($link, $do): Order {
            $order = ClientPage::order($link)->locked();
            $do($order);

            return $order->refresh();
        });
    }

    private static function version(Order $order, int $number): QuoteRow
    {
        return $order->quotes()->where('number', $number)->first() ??
            throw QuoteRefused::named('There is no version of that number.', '/version');
    }
}
