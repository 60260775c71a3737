<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Order;
use App\Models\QuoteRow;
use App\Models\Role;
use App\Models\Studio;
use App\Models\Unit;
use App\Models\User;
use App\Queries\Sharing\QuoteForClient;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\Today;
use App\Studio\UnitCosts;
use App\Studio\UnitPrices;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Studio\QuoteChange;
use Ordotype\Core\Studio\QuoteLineKind;
use Ordotype\Core\Words\QuoteWords;

/** The next version of a quote as it stands, and those that went out; what it costs is for the lead alone. */
final class QuoteShown
{
    public function __construct(
        private readonly Quoting $quoting,
        private readonly QuoteForClient $versions,
        private readonly UnitPrices $prices,
        private readonly UnitCosts $costs,
        private readonly Today $today,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Order $order, User $user): array
    {
        $studio = Studio::row();
        $body = QuoteBody::of($this->quoting->compose($order, false));
        $newest = $this->quoting->newest($order);
        $of = $order->units->keyBy('id');

        return [
            'order' => $order->only(['id', 'number', 'title', 'revision']) + ['status' => $order->status->value],
            'next' => ($newest->number ?? 0) + 1,
            'until' => $this->today->plus($studio->quote_days),
            'is_fixed' => $body->body['end'] === 'fixed',
            'currency' => $body->body['currency'],
            'tax' => $body->body['tax'],
            'units' => array_map(
                fn (array $u) => array_diff_key($u, ['gets' => true, 'not' => true, 'intent' => true]) +
                    $this->unit($of[$u['id']] ?? throw new \LogicException('A unit of another order.'), $user),
                $body->body['units'],
            ),
            'extras' => array_values($body->body['extras']),
            'lines' => $body->body['lines'],
            'discount' => $body->body['discount'],
            'contingencies' => $body->body['contingencies'],
            'payments' => $body->body['payments'],
            'promised' => $body->body['promised'],
            'sums' => $body->sums([]),
            'sums_with_all' => $body->sums($body->choices()),
            'room' => $body->quote([])->room()->decimal(),
            'faults' => array_map(
                fn (array $f) => QuoteWords::fault($f[0], $f[1]),
                $this->quoting->faults($order),
            ),
            'changes' => $newest === null ? [] : array_map(
                QuoteWords::change(...),
                QuoteChange::between(QuoteBody::of($newest->body)->items(), $body->items()),
            ),
            'versions' => array_values(
                $order->quotes()->get()->map(fn (QuoteRow $v) => $this->versions->version($order, $v, []))->all(),
            ),
            'agreed' => $this->quoting->agreed($order)?->decimal(),
            'kinds' => array_map(
                fn (QuoteLineKind $k) => ['kind' => $k->value, 'words' => QuoteWords::kind($k)],
                QuoteLineKind::beside(),
            ),
            'quote_days' => $studio->quote_days,
            'sees_cost' => $user->role === Role::Lead,
        ];
    }

    /** @return array<string, mixed> what the price rests on; the cost beside it for the lead */
    private function unit(Unit $unit, User $user): array
    {
        $unit->setRelation('order', $unit->order);
        $range = $this->prices->range($unit);
        $price = $this->prices->of($unit);
        $cost = $this->costs->of($unit);
        $band = $cost->band();
        $seen = $user->role !== Role::Lead ? ['cost' => null] : [
            'cost' => [
                'cost' => $cost->cost->decimal(),
                'low' => $band->low->decimal(),
                'high' => $band->high->decimal(),
                'minutes' => round($cost->minutes, 1),
                'marked_up' => $cost->markedUp(PerCent::of(Studio::row()->mark_up))->decimal(),
            ],
        ];

        return $seen + [
            'revision' => $unit->revision,
            'released' => $unit->released_at !== null,
            'range' => $range === null ? null : ['low' => $range->low, 'high' => $range->high],
            'set_price' => $unit->price,
            'set_ceiling' => $unit->ceiling,
            'below_cost' => $price !== null && $price->price->isLessThan($cost->cost),
        ];
    }
}
