<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Exceptions\QuoteRefused;
use App\Models\Order;
use App\Models\Unit;
use App\Repositories\Standards;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\UnitPrices;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\Budget;

/** The highest tiers of an order's units that an amount pays for, even at the most they can come to. */
final class BudgetForOrder
{
    public function __construct(
        private readonly Standards $standards,
        private readonly UnitPrices $prices,
        private readonly Quoting $quoting,
    ) {
    }

    /**
     * @return array{units: list<array<string, mixed>>, price: string, ceiling: string}
     *
     * @throws QuoteRefused when not even the lowest tiers fit
     */
    public function of(Order $order, Money $amount): array
    {
        $body = $this->quoting->compose($order, false);
        $units = array_values(
            array_filter(
                array_map(fn (array $u) => $order->units->firstWhere('id', $u['id']), $body['units']),
            ),
        );
        $rungs = array_map(fn (Unit $u) => $this->rungs($u->setRelation('order', $order)), $units);
        if ($units === [] || in_array([], $rungs, true)) {
            throw QuoteRefused::budgetTooSmall();
        }
        $at = function (array $chosen) use ($body, $rungs): array {
            foreach ($chosen as $i => $rung) {
                $body['units'][$i] = [
                    'tier' => $rungs[$i][$rung]['tier'],
                    'tier_name' => $rungs[$i][$rung]['name'],
                    'price' => $rungs[$i][$rung]['price'],
                    'ceiling' => $rungs[$i][$rung]['ceiling'],
                ] + $body['units'][$i];
            }

            return $body;
        };
        $sum = fn (array $chosen, bool $atMost): Money => QuoteBody::of($at($chosen))->quote([])->total($atMost)->sum;
        $chosen = Budget::rungs(
            array_map(fn (array $r) => count($r) - 1, $rungs),
            self::byRole($units),
            fn (array $chosen) => ! $amount->isLessThan($sum($chosen, true)),
        ) ?? throw QuoteRefused::budgetTooSmall();

        return [
            'units' => array_map(
                fn (Unit $u, array $quoted) => [
                    'id' => $u->id,
                    'figure' => $quoted['figure'],
                    'count' => $quoted['count'],
                    'tier' => $quoted['tier'],
                    'tier_name' => $quoted['tier_name'],
                    'moves' => $quoted['tier'] !== $u->tier,
                    'revision' => $u->revision,
                ],
                $units,
                $at($chosen)['units'],
            ),
            'price' => $sum($chosen, false)->decimal(),
            'ceiling' => $sum($chosen, true)->decimal(),
        ];
    }

    /** @return list<array{tier: string, name: string, price: string, ceiling: string}> that it can be at, by rung */
    private function rungs(Unit $unit): array
    {
        $tiers = array_filter(
            $this->standards->core($unit->order->version)->tiers,
            fn (Tier $t) => $t->status === TierStatus::Offered &&
                // What is on the bench stays at its tier.
                ($unit->released_at === null || $t->key === $unit->tier),
        );
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);
        $rungs = [];
        foreach ($tiers as $tier) {
            $price = $this->prices->of($unit, $tier->key);
            if ($price !== null) {
                $rungs[] = [
                    'tier' => $tier->key,
                    'name' => $tier->name,
                    'price' => $price->price->decimal(),
                    'ceiling' => $price->ceiling->decimal(),
                ];
            }
        }

        return $rungs;
    }

    /**
     * @param  list<Unit>  $units
     * @return list<int> their places, those that are looked at most first
     */
    private static function byRole(array $units): array
    {
        $places = array_keys($units);
        $rank = fn (int $place): int => Role::from($units[$place]->sculpt->role)->rank();
        usort($places, fn (int $a, int $b) => [$rank($b), $a] <=> [$rank($a), $b]);

        return $places;
    }
}
