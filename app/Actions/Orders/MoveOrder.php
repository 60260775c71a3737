<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\BenchRefused;
use App\Exceptions\OrderRefused;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Role;
use App\Models\Unit;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\OrderLife;
use App\Studio\Quoting;
use App\Studio\Today;
use App\Studio\UnitPrices;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Studio\MoveCondition;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderMoves;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\QuoteState;

/** Moves an order along by hand: quoted, accepted, back to the enquiry, cancelled, claimed, closed; and holds it. */
final class MoveOrder
{
    public function __construct(
        private readonly OrderLife $life,
        private readonly MovePiece $movePiece,
        private readonly UnitPrices $prices,
        private readonly QuoteOrder $quotes,
        private readonly Quoting $quoting,
        private readonly Today $today,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  array<string, string>  $facts  reason, who said yes, how, until when a quote holds, promised day
     * @param  list<int>  $pieces  ids of what a claim is about
     * @param  list<string>  $ticks  ids of the extras that the client takes
     */
    public function __invoke(
        Order $order,
        int $revision,
        OrderStatus $to,
        User $by,
        array $facts = [],
        array $pieces = [],
        array $ticks = [],
    ): Order {
        return DB::transaction(function () use ($order, $revision, $to, $by, $facts, $pieces, $ticks): Order {
            $order = $order->lockedAt($revision);
            $mover = $by->role === Role::Lead ? Mover::Lead : Mover::Desk;
            $isClaim = $to === OrderStatus::InWork && $pieces !== [];
            $reason = $facts['reason'] ?? '';
            $situation = $this->life->situation($order, $reason, $isClaim);
            if ($to === OrderStatus::Accepted && ! $situation->isPriced) {
                throw OrderRefused::conditionsMissing([MoveCondition::UnitWithTierAndPrice]);
            }
            $kept = array_filter($facts, fn (string $v) => trim($v) !== '');
            $mayMove = OrderMoves::between($order->status, $to, $mover) !== [];
            if ($mayMove && $this->withQuote($order, $to, $mover, $kept, $ticks)) {
                return $order->refresh();
            }
            if ($to === OrderStatus::Accepted) {
                $kept['price'] = $this->quoting->total($order)?->decimal() ?? '';
            }
            $this->life->move($order, $to, $mover, $situation, $kept);
            match ($to) {
                OrderStatus::Accepted => $this->accepted($order, $kept['promised'] ?? null),
                OrderStatus::Cancelled => $this->cancelled($order, $reason),
                OrderStatus::InWork => $this->claimed($order, $pieces, $reason),
                OrderStatus::Quoted, OrderStatus::Draft, OrderStatus::Done, OrderStatus::Delivered,
                OrderStatus::Closed => null,
            };

            return $order->refresh();
        });
    }

    /**
     * Moves that a version of its quote goes with; an order that was quoted before versions were kept has none.
     *
     * @param  array<string, string>  $facts
     * @param  list<string>  $ticks
     */
    private function withQuote(Order $order, OrderStatus $to, Mover $by, array $facts, array $ticks): bool
    {
        $open = $this->quoting->newest($order);
        $open = $open?->state === QuoteState::Open ? $open : null;
        if ($to === OrderStatus::Quoted) {
            $this->quotes->fixed($order, $facts['until'] ?? null, $by);

            return true;
        }
        if ($to === OrderStatus::Draft && $open !== null) {
            $this->quotes->refuse($order, $open, $by, $facts['who'] ?? '', $facts['reason'] ?? '');

            return true;
        }
        if ($to === OrderStatus::Accepted && ($open !== null || $order->status === OrderStatus::Draft)) {
            $version = $open ?? $this->quotes->written($order);
            $who = $facts['who'] ?? '';
            $this->quotes->accept($order, $version, $by, $who, $facts['how'] ?? 'by hand', $ticks, $facts);

            return true;
        }

        return false;
    }

    /** Stops releases and new work; what was begun is finished. */
    public function hold(Order $order, int $revision, string $reason, string $for): Order
    {
        return DB::transaction(function () use ($order, $revision, $reason, $for): Order {
            $order = $order->lockedAt($revision);
            if ($order->held_at !== null || $order->status->hasLeft() || $order->status === OrderStatus::Cancelled) {
                throw OrderRefused::onHold($order->held_reason ?? 'nothing of it is left to do.');
            }
            $order->update([
                'held_at' => now(),
                'held_for' => $for,
                'held_reason' => $reason,
                'revision' => $order->revision + 1,
            ]);
            $this->log->write('order.held', $order, null, ['reason' => $reason, 'for' => $for]);

            return $order->refresh();
        });
    }

    /** Days that were the client's move the promised day. */
    public function resume(Order $order, int $revision): Order
    {
        return DB::transaction(function () use ($order, $revision): Order {
            $order = $order->lockedAt($revision);
            if ($order->held_at === null) {
                throw OrderRefused::notOnHold();
            }
            $days = (int) $order->held_at->diffInDays(now());
            $promised = $order->promised_on;
            $moves = $order->held_for === 'client' && $promised !== null;
            $order->update([
                'held_at' => null,
                'held_for' => null,
                'held_reason' => null,
                'promised_on' => $moves ? $promised->copy()->addDays($days) : $promised,
                'revision' => $order->revision + 1,
            ]);
            $this->log->write(
                'order.resumed',
                $order,
                ['promised_on' => $promised?->format('Y-m-d')],
                ['days' => $days, 'promised_on' => $order->promised_on?->format('Y-m-d')],
            );

            return $order->refresh();
        });
    }

    /** What the calendar closes: delivered, paid, and the days for claims are over. */
    public function closeByItself(int $days): int
    {
        $before = $this->today->plus(-$days);
        $closed = 0;
        $due = Order::query()->where('status', OrderStatus::Delivered)->get();
        foreach ($due as $order) {
            $delivered = $order->moves->last()?->at->format('Y-m-d');
            $closed += (int) DB::transaction(function () use ($order, $delivered, $before): bool {
                $order = $order->locked();
                $situation = $this->life->situation($order);
                if ($order->status !== OrderStatus::Delivered || ! $situation->isPaid || $delivered > $before) {
                    return false;
                }
                $this->life->move($order, OrderStatus::Closed, Mover::Itself, $situation);

                return true;
            });
        }

        return $closed;
    }

    /** The prices of today are what was agreed. */
    private function accepted(Order $order, ?string $promised): void
    {
        foreach ($order->units as $unit) {
            $unit->setRelation('order', $order);
            $unit->update(['agreed_price' => $this->prices->ofPiece($unit)?->decimal()]);
        }
        $order->update(['promised_on' => $promised ?? $order->promised_on ?? $order->due_on]);
    }

    /** Work that is not released stops with the order; what was begun stays where it stands until it is sent back. */
    private function cancelled(Order $order, string $reason): void
    {
        $open = $order->units
            ->filter(fn (Unit $u) => $u->released_at === null)
            ->flatMap->pieces->filter(fn (Piece $p) => Stage::from($p->stage) === Stage::Planned);
        foreach ($open as $piece) {
            ($this->movePiece)($piece, StageMove::Cancel, $reason);
        }
    }

    /**
     * @param  list<int>  $ids
     */
    private function claimed(Order $order, array $ids, string $reason): void
    {
        $pieces = $order->units->flatMap->pieces->whereIn('id', $ids);
        if ($pieces->count() !== count($ids)) {
            throw BenchRefused::noSuchPieces();
        }
        foreach ($pieces as $piece) {
            ($this->movePiece)($piece, StageMove::Claim, $reason);
        }
    }
}
