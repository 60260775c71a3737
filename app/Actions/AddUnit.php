<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\Standards;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\TierStatus;

/** Adds a unit with its pieces to an order; each piece gets a short code of its own. */
final class AddUnit
{
    /** Letters and digits that are not taken for one another on a handle. */
    private const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';

    public function __invoke(Order $order, Sculpt $sculpt, string $tier, int $count, ?string $label): Unit
    {
        $standard = Standards::core($order->version);
        if (! $standard->hasTier($tier)) {
            throw new Refusal("Version {$order->version->number} of the standard has no tier \"$tier\".", '/tier');
        }
        if ($standard->tier($tier)->status === TierStatus::Retired) {
            throw new Refusal(
                "{$standard->tier($tier)->name} is retired: it stays readable, and nothing new is ordered at it.",
                '/tier',
            );
        }

        return DB::transaction(function () use ($order, $sculpt, $tier, $count, $label): Unit {
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
                    'code' => $this->code(),
                    'stage' => 'planned',
                ]);
            }
            ActivityLog::write('unit.added', $unit, null, [
                'tier' => $tier,
                'count' => $count,
                'sculpt' => $sculpt->slug,
            ]);

            return $unit;
        });
    }

    private function code(): string
    {
        do {
            $code = '';
            for ($i = 0; $i < 5; $i++) {
                $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
            }
        } while (Piece::query()->where('code', $code)->exists());

        return $code;
    }
}
