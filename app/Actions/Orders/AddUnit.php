<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\OrderRefused;
use App\Exceptions\TierRefused;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use App\Studio\PieceCodes;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\TierStatus;

/** Adds a unit with its pieces to an order; each piece gets a short code of its own. */
final class AddUnit
{
    public function __construct(private readonly Standards $standards, private readonly ActivityLog $log)
    {
    }

    public function __invoke(Order $order, Sculpt $sculpt, string $tier, int $count, ?string $label): Unit
    {
        $standard = $this->standards->core($order->version);
        if (! $standard->hasTier($tier)) {
            throw TierRefused::noSuchTier($tier, '/tier', $order->version->number);
        }
        if ($standard->tier($tier)->status === TierStatus::Retired) {
            throw TierRefused::retired($standard->tier($tier));
        }

        return DB::transaction(function () use ($order, $sculpt, $tier, $count, $label): Unit {
            // One that is just being taken in from a file may be over by then.
            $status = $order->wasRecentlyCreated ? null : $order->locked()->status;
            if ($status?->isOver() === true) {
                throw OrderRefused::over($status);
            }
            $unit = Unit::query()->create([
                'order_id' => $order->id,
                'sculpt_id' => $sculpt->id,
                'tier' => $tier,
                'label' => $label,
            ]);
            for ($number = 1; $number <= $count; $number++) {
                Piece::query()->create([
                    'unit_id' => $unit->id,
                    'number' => $number,
                    'code' => PieceCodes::next(),
                    'stage' => 'planned',
                ]);
            }
            $this->log->write('unit.added', $unit, null, [
                'tier' => $tier,
                'count' => $count,
                'sculpt' => $sculpt->slug,
            ]);

            return $unit;
        });
    }
}
