<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\OrderRefused;
use App\Models\Order;
use App\Models\PaymentRow;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Studio\PaymentWhen;

/** Says how an order is paid, and notes what came. */
final class PlanPayments
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  list<array{when: PaymentWhen, on: string|null, amount: string|null, percent: int|null}>  $payments  in
     *     their order; those that are noted already stay as they are
     */
    public function plan(Order $order, int $revision, array $payments): Order
    {
        return DB::transaction(function () use ($order, $revision, $payments): Order {
            $order = $order->lockedAt($revision);
            foreach ($payments as $i => $payment) {
                $isShare = $payment['percent'] !== null;
                $isOnDay = $payment['when'] === PaymentWhen::OnDay;
                $why = match (true) {
                    ($payment['amount'] !== null) === $isShare => 'Say a sum or a share, one of them.',
                    $isOnDay !== ($payment['on'] !== null) => 'Say the day of a payment that is due on one.',
                    default => null,
                };
                if ($why !== null) {
                    throw OrderRefused::payments($why, "/payments/$i");
                }
            }
            if (array_sum(array_map(fn (array $p) => (int) $p['percent'], $payments)) > 100) {
                throw OrderRefused::payments('The shares are more than the whole.', '/payments');
            }
            if ($order->payments()->whereNotNull('noted_on')->exists()) {
                throw OrderRefused::paymentNoted();
            }
            $before = $order->payments->map->only(['due_when', 'amount', 'percent'])->all();
            $order->payments()->delete();
            foreach ($payments as $i => $payment) {
                PaymentRow::query()->create([
                    'order_id' => $order->id,
                    'place' => $i + 1,
                    'due_when' => $payment['when'],
                    'due_on' => $payment['on'],
                    'amount' => $payment['amount'],
                    'percent' => $payment['percent'],
                ]);
            }
            $this->changed($order, 'order.payments', $before, $payments);

            return $order->refresh();
        });
    }

    /** @param  string|null  $on  the day it came; null: it did not come after all */
    public function note(Order $order, int $revision, int $payment, ?string $on, ?string $way): Order
    {
        return DB::transaction(function () use ($order, $revision, $payment, $on, $way): Order {
            $order = $order->lockedAt($revision);
            $row = $order->payments()->whereKey($payment)->firstOrFail();
            $before = $row->only(['noted_on', 'noted_way']);
            $row->update([
                'noted_on' => $on,
                'noted_way' => $on === null ? null : $way,
                'noted_by' => $on === null ? null : Auth::id(),
            ]);
            $this->changed($order, 'order.paid', $before, ['place' => $row->place, 'noted_on' => $on]);

            return $order->refresh();
        });
    }

    private function changed(Order $order, string $what, mixed $before, mixed $after): void
    {
        $order->update(['revision' => $order->revision + 1]);
        $this->log->write($what, $order, $before, $after);
    }
}
