<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Actions\Plan\ArrangeUnit;
use App\Exceptions\QuoteRefused;
use App\Models\Order;
use App\Models\QuoteRow;
use App\Models\Role;
use App\Models\Studio;
use App\Models\Unit;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\OrderLife;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\Today;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\QuoteChange;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\QuoteWords;
use stdClass;

/** Quotes of an order: what the next one says, versions that go out, the answer to one, and what moved the price. */
final class QuoteOrder
{
    public function __construct(
        private readonly Quoting $quoting,
        private readonly OrderLife $life,
        private readonly ArrangeUnit $arrange,
        private readonly Today $today,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * What is typed beside the units, for the next version.
     *
     * @param  array<string, mixed>  $typed  extras, lines, discount, contingencies
     */
    public function edit(Order $order, int $revision, array $typed): Order
    {
        return DB::transaction(function () use ($order, $revision, $typed): Order {
            $order = $order->lockedAt($revision);
            self::mustBeOpen($order);
            $before = $order->quote ?? [];
            // What was agreed by a version stays, whatever is typed for the next.
            $agreed = array_filter($before['extras'] ?? [], fn (array $e) => ! $e['choice']);
            $typed['extras'] = [...array_values($agreed), ...$typed['extras']];
            $ids = array_merge(...array_map(
                fn (string $part) => array_column($typed[$part], 'id'),
                ['extras', 'lines', 'contingencies'],
            ));
            if (count($ids) !== count(array_unique($ids))) {
                throw QuoteRefused::named('The same thing stands in it twice.', '/extras');
            }
            foreach (['extras', 'contingencies'] as $part) {
                foreach ($typed[$part] as $i => $thing) {
                    if (isset($thing['unit']) && ! $order->units->contains('id', $thing['unit'])) {
                        throw QuoteRefused::named('That unit is not of this order.', "/$part/$i/unit");
                    }
                }
            }
            $order->update(['quote' => $typed, 'revision' => $revision + 1]);
            $this->log->write('quote.typed', $order, $before, $typed);

            return $order->refresh();
        });
    }

    /**
     * Sends a version out: what it says stays from then on. An enquiry is quoted by it; what is under way keeps its
     * state, and what was agreed holds until this one is.
     *
     * @param  string|null  $until  the last day it holds; null: the studio's days from today
     */
    public function send(Order $order, int $revision, ?string $until, User $by): QuoteRow
    {
        return DB::transaction(function () use ($order, $revision, $until, $by): QuoteRow {
            $order = $order->lockedAt($revision);
            $mover = $by->role === Role::Lead ? Mover::Lead : Mover::Desk;

            return $this->fixed($order, $until, $mover);
        });
    }

    /** The order is locked. */
    public function fixed(Order $order, ?string $until, Mover $mover): QuoteRow
    {
        $row = $this->written($order, $until);
        $until = $row->valid_until->format('Y-m-d');
        if ($order->status === OrderStatus::Draft) {
            $facts = ['price' => QuoteBody::of($row->body)->quote([])->total()->sum->decimal(), 'until' => $until];
            $this->life->move($order, OrderStatus::Quoted, $mover, $this->life->situation($order), $facts);
        } else {
            $order->update(['revision' => $order->revision + 1]);
        }
        $order->update(['quoted_until' => $until]);

        return $row;
    }

    /** The next version, as things stand; the order is locked and stays where it is. */
    public function written(Order $order, ?string $until = null): QuoteRow
    {
        self::mustBeOpen($order);
        $faults = $this->quoting->faults($order);
        if ($faults !== []) {
            throw QuoteRefused::faults($faults);
        }
        $until ??= $this->today->plus(Studio::row()->quote_days);
        if ($until < $this->today->day()) {
            throw QuoteRefused::named('The last day it holds is over already.', '/until');
        }
        $last = $this->quoting->newest($order);
        $body = $this->quoting->compose($order, true);
        $body['changes'] = $last === null ? [] : array_map(
            QuoteWords::change(...),
            QuoteChange::between(QuoteBody::of($last->body)->items(), QuoteBody::of($body)->items()),
        );
        $order->quotes()->where('state', QuoteState::Open)->update(['state' => QuoteState::Replaced]);
        $row = QuoteRow::query()->create([
            'order_id' => $order->id,
            'number' => ($last->number ?? 0) + 1,
            'body' => $body,
            'valid_until' => $until,
            'state' => QuoteState::Open,
            'made_by' => Auth::id(),
            'made_at' => now(),
        ]);
        $total = QuoteBody::of($body)->quote([])->total()->sum->decimal();
        $this->log->write('quote.sent', $row, null, ['number' => $row->number, 'price' => $total, 'until' => $until]);

        return $row;
    }

    /**
     * The client says yes to a version. The order is locked.
     *
     * @param  string|null  $how  noted by hand; null: by their page
     * @param  list<string>  $ticks  ids of the extras that are taken
     * @param  array<string, string>  $facts  what else is kept with the move
     */
    public function accept(
        Order $order,
        QuoteRow $version,
        Mover $by,
        string $who,
        ?string $how,
        array $ticks,
        array $facts = [],
    ): void {
        $body = QuoteBody::of($version->body);
        if (array_diff($ticks, $body->choices()) !== []) {
            throw QuoteRefused::named('An extra that is ticked is not in this version.', '/ticks');
        }
        $this->mustBeAnswerable($order, $version);
        $order->quotes()->where('state', QuoteState::Accepted)->update(['state' => QuoteState::Replaced]);
        $version->update([
            'state' => QuoteState::Accepted,
            'answered_at' => now(),
            'answered_by' => $who === '' ? null : $who,
            'answered_how' => $how,
            'ticks' => $ticks,
        ]);
        $sum = $body->quote($ticks)->total()->sum;
        $this->keep($order, $body, $ticks);
        $order->update(['agreed_total' => null, 'agreed_reason' => null]);
        if ($order->status === OrderStatus::Quoted || $order->status === OrderStatus::Draft) {
            $facts = array_filter(['price' => $sum->decimal(), 'who' => $who, 'how' => $how] + $facts);
            $this->life->move(
                $order,
                OrderStatus::Accepted,
                $by,
                $this->life->situation($order, isNewest: true),
                $facts,
            );
        } else {
            $order->update(['revision' => $order->revision + 1]);
        }
        // The day that was promised in it holds from now on; no move of it is lost by an older version.
        $promised = $facts['promised'] ?? $body->body['promised'];
        $order->update(['promised_on' => $promised ?? $order->promised_on ?? $order->due_on]);
        $plain = ['number' => $version->number, 'price' => $sum->decimal(), 'ticks' => $ticks];
        $this->log->write('quote.accepted', $version, null, $plain);
    }

    /** The client says no to a version, or it is taken back. The order is locked. */
    public function refuse(Order $order, QuoteRow $version, Mover $by, string $who, string $reason): void
    {
        if ($version->state !== QuoteState::Open) {
            throw QuoteRefused::answered($version->state);
        }
        $version->update([
            'state' => QuoteState::Refused,
            'answered_at' => now(),
            'answered_by' => $who === '' ? null : $who,
            'reason' => $reason === '' ? null : $reason,
        ]);
        if ($order->status === OrderStatus::Quoted) {
            $facts = array_filter(['who' => $who, 'reason' => $reason]);
            $this->life->move($order, OrderStatus::Draft, $by, $this->life->situation($order, $reason), $facts);
        } else {
            $order->update(['revision' => $order->revision + 1]);
        }
        $order->update(['quoted_until' => null]);
        $this->log->write('quote.refused', $version, null, ['number' => $version->number]);
    }

    /**
     * What moved the price, said once, after the models came in.
     *
     * @param  list<string>  $cameTrue  ids
     */
    public function settle(Order $order, int $revision, array $cameTrue): Order
    {
        return DB::transaction(function () use ($order, $revision, $cameTrue): Order {
            $order = $order->lockedAt($revision);
            $version = $this->quoting->accepted($order) ?? throw QuoteRefused::nothingAgreed();
            if ($version->settled_at !== null) {
                throw QuoteRefused::settled();
            }
            $order->load(['units.pieces', 'units.receiving']);
            if ($order->units->contains(fn (Unit $u) => $u->standing()->isNotEmpty() && $u->receiving === null)) {
                throw QuoteRefused::notReceived();
            }
            $named = array_column(QuoteBody::of($version->body)->body['contingencies'], 'id');
            if (array_diff($cameTrue, $named) !== []) {
                throw QuoteRefused::named('That is nothing that could move this price.', '/came_true');
            }
            $version->update(['settled_at' => now(), 'came_true' => $cameTrue]);
            $order->update(['revision' => $revision + 1]);
            $this->log->write('quote.settled', $version, null, ['came_true' => $cameTrue]);

            return $order->refresh();
        });
    }

    /** The price that was agreed, said otherwise: with a reason, which stands beside it. */
    public function agree(Order $order, int $revision, string $amount, string $reason): Order
    {
        return DB::transaction(function () use ($order, $revision, $amount, $reason): Order {
            $order = $order->lockedAt($revision);
            $before = $this->quoting->agreed($order) ?? throw QuoteRefused::nothingAgreed();
            $order->update([
                'agreed_total' => Money::of($amount)->decimal(),
                'agreed_reason' => $reason,
                'revision' => $revision + 1,
            ]);
            $this->log->write('quote.agreed', $order, $before->decimal(), ['to' => $amount, 'reason' => $reason]);

            return $order->refresh();
        });
    }

    private function mustBeAnswerable(Order $order, QuoteRow $version): void
    {
        $newest = $this->quoting->newest($order);
        if ($newest !== null && $newest->id !== $version->id) {
            throw QuoteRefused::newer($newest->number);
        }
        if ($version->state !== QuoteState::Open) {
            throw QuoteRefused::answered($version->state);
        }
        if ($version->hasRunOut($this->today->day())) {
            throw QuoteRefused::runOut();
        }
    }

    /**
     * What was agreed is kept with the units: prices, and extras that were taken; those that were not fall away.
     *
     * @param  list<string>  $ticks
     */
    private function keep(Order $order, QuoteBody $body, array $ticks): void
    {
        $order->load('units');
        foreach ($body->body['units'] as $quoted) {
            $order->units->firstWhere('id', $quoted['id'])?->update(['agreed_price' => $quoted['price']]);
        }
        $typed = $order->quote ?? [];
        $taken = [];
        foreach ($typed['extras'] ?? [] as $extra) {
            if (! $extra['choice'] || in_array($extra['id'], $ticks, true)) {
                $isNew = $extra['choice'] && $extra['amendment'] !== null;
                $taken[] = ['choice' => false] + $extra;
                $unit = $isNew ? $order->units->firstWhere('id', $extra['unit']) : null;
                // On the bench a plan stays what it is; the lead finds it among what was agreed.
                if ($unit !== null && $unit->released_at === null) {
                    $this->amend($unit->refresh(), $extra);
                }
            }
        }
        $order->update(['quote' => ['extras' => $taken] + $typed]);
    }

    /** @param  array<string, mixed>  $extra */
    private function amend(Unit $unit, array $extra): void
    {
        $amendment = Json::decode(Json::encode($extra['amendment']));
        assert($amendment instanceof stdClass);
        // Its price stands in the quote.
        $amendment->price = null;
        $amendment->reason = (string) $extra['words'];
        $this->arrange->amend($unit, $amendment, $unit->revision);
    }

    private static function mustBeOpen(Order $order): void
    {
        if ($order->status->isOver() || $order->status === OrderStatus::Delivered) {
            throw QuoteRefused::over($order->status);
        }
    }
}
