<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\OrderRefused;
use App\Exceptions\RequestRefused;
use App\Models\Order;
use App\Models\Parcel;
use App\Models\Piece;
use App\Models\Role;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\OrderLife;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;

/** A parcel that came or goes; what goes is delivered with it. */
final class SendParcel
{
    public function __construct(
        private readonly MovePiece $movePiece,
        private readonly OrderLife $life,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  array<string, string|null>  $facts  on_day, way, tracking, recipient, insured
     * @param  list<int>  $ids  of the models in it
     * @param  string  $reason  why it goes although a payment is due: the lead's to say
     */
    public function __invoke(
        Order $order,
        string $direction,
        array $facts,
        array $ids,
        User $by,
        string $reason,
    ): Parcel {
        return DB::transaction(function () use ($order, $direction, $facts, $ids, $by, $reason): Parcel {
            $order = $order->locked();
            $pieces = Piece::query()
                ->whereIn('unit_id', $order->units()->pluck('id'))
                ->whereIn('id', $ids)
                ->orderBy('id')
                ->lockForUpdate()
                ->get();
            if ($pieces->count() !== count(array_unique($ids))) {
                throw OrderRefused::notToSend('A model that is not of this order');
            }
            $goes = $direction === 'out';
            if ($goes && ! $this->life->mayBeSent($order)) {
                if ($by->role !== Role::Lead || trim($reason) === '') {
                    throw OrderRefused::paymentBeforeSending();
                }
            }
            if ($goes && $ids === []) {
                throw RequestRefused::reasonMissing('/pieces', 'Say which models are in it.');
            }
            foreach ($goes ? $pieces : [] as $piece) {
                $this->goes($piece);
            }
            $parcel = Parcel::query()->create([
                'order_id' => $order->id,
                'direction' => $direction,
                'pieces' => array_values($pieces->modelKeys()),
                'user_id' => $by->id,
                'made_at' => now(),
            ] + $facts);
            // Whom it went to can be erased, the log cannot.
            $plain = array_diff_key($facts, ['recipient' => true, 'tracking' => true]);
            $this->log->write("parcel.$direction", $parcel, null, $plain + ['reason' => $reason]);

            return $parcel;
        });
    }

    /** Signed work is delivered; a model that was cancelled goes back as it is. */
    private function goes(Piece $piece): void
    {
        $stage = Stage::from($piece->stage);
        if ($stage === Stage::Signed) {
            ($this->movePiece)($piece, StageMove::Deliver, '');
        } elseif ($stage !== Stage::Cancelled) {
            throw OrderRefused::notToSend("Model $piece->code");
        }
    }
}
