<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\OrderRefused;
use App\Models\Order;
use App\Models\Sculpt;
use App\Repositories\Standards;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\UnitLine;
use Ordotype\Core\Words\OrderLifeWords;

/** Makes units of pasted lines such as “12 Sluice Warden, Company”: all of them, or none. */
final class PasteUnits
{
    public function __construct(private readonly Standards $standards, private readonly AddUnit $add)
    {
    }

    /** @return list<UnitLine> as they are understood; nothing is made */
    public function read(Order $order, string $text): array
    {
        $figures = [];
        foreach (Sculpt::query()->orderBy('name')->get(['slug', 'name']) as $sculpt) {
            $figures[$sculpt->slug] = $sculpt->name;
        }
        $tiers = [];
        foreach ($this->standards->core($order->version)->tiers as $tier) {
            if ($tier->status !== TierStatus::Retired) {
                $tiers[$tier->key] = $tier->name;
            }
        }

        return UnitLine::read($text, $figures, $tiers);
    }

    /** @throws OrderRefused naming the first line that makes no unit */
    public function __invoke(Order $order, string $text): void
    {
        $lines = $this->read($order, $text);
        foreach ($lines as $line) {
            if ($line->fault !== null) {
                throw OrderRefused::line($line->number, OrderLifeWords::line($line->fault));
            }
        }
        DB::transaction(function () use ($order, $lines): void {
            foreach ($lines as $line) {
                $sculpt = Sculpt::query()->where('slug', $line->figure)->firstOrFail();
                $unit = ($this->add)($order, $sculpt, (string) $line->tier, $line->count, $line->label);
                $unit->update(['price' => $line->price]);
            }
        });
    }
}
