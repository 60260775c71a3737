<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\OrderRefused;
use App\Models\Order;
use App\Models\OrderMoveRow;
use App\Models\PaymentRow;
use App\Models\Piece;
use App\Models\Question;
use App\Models\Studio;
use App\Models\Unit;
use Illuminate\Support\Facades\Auth;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderMove;
use Ordotype\Core\Studio\OrderMoves;
use Ordotype\Core\Studio\OrderSituation;
use Ordotype\Core\Studio\OrderStatus;

/** Moves orders along the core's table: by somebody, or by themselves with what happens to their pieces. */
final class OrderLife
{
    public function __construct(
        private readonly Today $today,
        private readonly UnitPrices $prices,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * How things stand with an order, as far as its moves ask.
     *
     * @param  Unit|null  $unit  the one that wants to go to the bench: what is asked about others holds it up not
     * @param  bool  $isNewest  what is accepted is the newest version of the quote
     */
    public function situation(
        Order $order,
        string $reason = '',
        bool $claim = false,
        bool $withdrawn = false,
        ?Unit $unit = null,
        bool $isNewest = true,
    ): OrderSituation {
        $order->loadMissing(['units.pieces', 'units.sculpt', 'units.receiving', 'version']);
        $unit?->loadMissing(['pieces', 'receiving']);
        $studio = Studio::row();
        $day = $this->today->day();
        $open = $order->payments()->whereNull('noted_on')->get();
        $questions = $order->questions()->whereNotNull('asked_by')->whereNull('answered_at')->get();

        return new OrderSituation(
            array_values($order->units->flatMap->pieces->map(fn (Piece $p) => Stage::from($p->stage))->all()),
            $this->prices->isPriced($order),
            $isNewest,
            $order->quoted_until === null || $order->quoted_until->format('Y-m-d') >= $day,
            $studio->quotes,
            $order->units->contains(fn (Unit $u) => $u->released_at !== null),
            $questions->contains(fn (Question $q) => $q->holdsOn($day) && $q->isAbout($unit)),
            ! $studio->wants_received ||
                ($unit === null ? $order->units : collect([$unit]))->every(fn (Unit $u) => $u->receiving !== null),
            ! $open->contains(fn (PaymentRow $p) => $p->due_when->holdsBench(self::isReached($p, $day))),
            $open->isEmpty(),
            $claim,
            $withdrawn,
            $reason,
        );
    }

    /** What holds a parcel back: payments that come before it and are not noted. */
    public function mayBeSent(Order $order): bool
    {
        $day = $this->today->day();

        return ! $order
            ->payments()
            ->whereNull('noted_on')
            ->get()
            ->contains(fn (PaymentRow $p) => $p->due_when->holdsSending(self::isReached($p, $day)));
    }

    /**
     * Moves an order that is locked.
     *
     * @param  array<string, mixed>  $facts  what is kept with the move
     *
     * @throws OrderRefused when the table has no such move, or something does not hold
     */
    public function move(Order $order, OrderStatus $to, Mover $by, OrderSituation $situation, array $facts = []): void
    {
        $moves = OrderMoves::between($order->status, $to, $by);
        if ($moves === []) {
            throw OrderRefused::noSuchMove($order->status, $to, $by);
        }
        $missing = array_map(fn (OrderMove $m) => $m->missing($situation), $moves);
        if (! in_array([], $missing, true)) {
            throw OrderRefused::conditionsMissing($missing[0]);
        }
        $this->become($order, $to, $by, $facts);
    }

    /**
     * What an order does by itself after something happened to its pieces, releases or sign-offs.
     *
     * @param  int  $order  its id
     */
    public function settle(int $order, bool $withdrawn = false, string $reason = ''): void
    {
        $order = Order::query()->lockForUpdate()->findOrFail($order);
        do {
            $move = OrderMoves::ofItself($order->status, $this->situation($order, $reason, withdrawn: $withdrawn));
            // What was withdrawn moves it once.
            $withdrawn = false;
            if ($move !== null) {
                $this->become($order, $move->to, Mover::Itself, $reason === '' ? [] : ['reason' => $reason]);
            }
        } while ($move !== null && $move->to !== OrderStatus::Accepted);
    }

    /**
     * A unit of an order that is locked goes to the bench. One that nobody agreed to yet counts as accepted by hand, by
     * the lead and for the reason that is given.
     *
     * @throws OrderRefused when it is on hold, a question holds it up, models are not there, or money is due
     */
    public function released(Order $order, Unit $unit, ?string $despite): void
    {
        if ($order->held_at !== null) {
            throw OrderRefused::onHold((string) $order->held_reason);
        }
        $order->unsetRelation('units');
        $situation = $this->situation($order, (string) $despite, unit: $unit);
        if ($order->status === OrderStatus::Draft || $order->status === OrderStatus::Quoted) {
            $this->move($order, OrderStatus::Accepted, Mover::Lead, $situation, ['reason' => (string) $despite]);
        }
        if ($order->status === OrderStatus::Accepted) {
            $facts = $situation->isDuePaid ? [] : ['reason' => (string) $despite];
            $this->move($order, OrderStatus::InWork, Mover::Itself, $situation, $facts);

            return;
        }
        // Its first unit went before: what holds a later one up is asked of it as well.
        $missing = array_merge(
            ...array_map(
                fn (OrderMove $m): array => $m->missing($situation),
                OrderMoves::between(OrderStatus::Accepted, OrderStatus::InWork, Mover::Itself),
            ),
        );
        if ($missing !== []) {
            throw OrderRefused::conditionsMissing($missing);
        }
    }

    /** @param  array<string, mixed>  $facts */
    private function become(Order $order, OrderStatus $to, Mover $by, array $facts): void
    {
        $from = $order->status;
        OrderMoveRow::query()->create([
            'order_id' => $order->id,
            'from_status' => $from,
            'to_status' => $to,
            'mover' => $by,
            'user_id' => Auth::id(),
            'facts' => $facts,
            'at' => now(),
        ]);
        $order->update(['status' => $to, 'revision' => $order->revision + 1]);
        // Who said yes stands with the move, where a name can be erased; the log cannot be.
        $plain = array_diff_key($facts, ['who' => true, 'how' => true]);
        $this->log->write("order.$to->value", $order, ['status' => $from->value], ['status' => $to->value] + $plain);
    }

    private static function isReached(PaymentRow $payment, string $day): bool
    {
        return $payment->due_on !== null && $payment->due_on->format('Y-m-d') <= $day;
    }
}
