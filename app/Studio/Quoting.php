<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Order;
use App\Models\PaymentRow;
use App\Models\QuoteRow;
use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Amendments;
use App\Repositories\Standards;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuoteFault;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\Voices;

/** Makes of an order what its next quote says, and knows which version holds. */
final class Quoting
{
    /** Lines of what one gets that the rung below does not give, and of what only the next one gives. */
    private const GETS = 5;

    private const NOT = 3;

    public function __construct(
        private readonly Standards $standards,
        private readonly UnitPrices $prices,
        private readonly Amendments $amendments,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    public function newest(Order $order): ?QuoteRow
    {
        return $order->quotes()->first();
    }

    /** The version that holds: the last one that somebody said yes to. */
    public function accepted(Order $order): ?QuoteRow
    {
        return $order->quotes()->where('state', QuoteState::Accepted)->first();
    }

    /** What was agreed, with extras and what came true; null: nobody agreed to a version yet. */
    public function agreed(Order $order): ?Money
    {
        $said = Money::ofOrNull($order->agreed_total);
        $version = $said === null ? $this->accepted($order) : null;

        return $said ?? ($version === null
            ? null
            : QuoteBody::of($version->body)->quote($version->ticks ?? [], $version->came_true ?? [])->total()->sum);
    }

    /** What it comes to as things stand: agreed, else as it would be quoted; null: something has no price. */
    public function total(Order $order): ?Money
    {
        $order->loadMissing(['units.pieces', 'units.sculpt', 'version']);

        return $this->agreed($order) ?? ($this->prices->isPriced($order)
            ? QuoteBody::of($this->compose($order, false))->quote([])->total()->sum
            : null);
    }

    /**
     * What the next version says; a unit that nobody priced stands in it with nothing.
     *
     * @param  bool  $inWords  with what one gets and what not, which takes plans
     * @return array<string, mixed>
     */
    public function compose(Order $order, bool $inWords): array
    {
        $studio = Studio::row();
        $order->loadMissing(['units.pieces', 'units.sculpt', 'version', 'scheme', 'overrules', 'payments']);
        $standard = $this->standards->core($order->version);
        $units = $order->units->filter(fn (Unit $u) => $u->standing()->isNotEmpty())->values();
        $typed = $order->quote ?? [];
        $isFixed = $studio->quote_end === QuoteEnd::Fixed;

        return [
            'end' => $studio->quote_end->value,
            'currency' => $standard->currency,
            'tax' => ['rate' => $studio->tax()?->decimal(), 'included' => $studio->tax_included],
            'standard' => $order->version->number,
            'units' => array_values(
                $units
                    ->map(
                        fn (Unit $u) => $this->unit($u->setRelation('order', $order), $standard, $isFixed) +
                            ($inWords ? $this->words($u) : ['gets' => [], 'not' => []]),
                    )
                    ->all(),
            ),
            'extras' => [
                ...array_merge(...$units->map($this->amended(...))->all()),
                ...array_filter(
                    $typed['extras'] ?? [],
                    fn (array $e) => $units->contains('id', $e['unit']),
                ),
            ],
            'lines' => $typed['lines'] ?? [],
            'discount' => $typed['discount'] ?? null,
            // A price that stands is moved by nothing.
            'contingencies' => $isFixed ? [] : ($typed['contingencies'] ?? []),
            'payments' => array_values(
                $order->payments
                    ->map(
                        fn (PaymentRow $p) => [
                            'when' => $p->due_when->value,
                            'on' => $p->due_on?->format('Y-m-d'),
                            'amount' => $p->amount,
                            'percent' => $p->percent,
                        ],
                    )
                    ->all(),
            ),
            'promised' => $order->day()?->format('Y-m-d'),
        ];
    }

    /** @return list<array{QuoteFault, string|null}> why it does not go out, and the unit it is about */
    public function faults(Order $order): array
    {
        $faults = [];
        $order->loadMissing(['units.pieces', 'units.sculpt', 'version']);
        if ($order->units->every(fn (Unit $u) => $u->standing()->isEmpty())) {
            return [[QuoteFault::NoUnits, null]];
        }
        foreach ($order->units as $unit) {
            if ($this->prices->of($unit->setRelation('order', $order)) === null) {
                $faults[] = [QuoteFault::NoPrice, $unit->sculpt->name.($unit->label === null ? '' : ", $unit->label")];
            }
        }
        $body = QuoteBody::of($this->compose($order, false));
        $quote = $body->quote([]);
        $moves = Money::sum(array_map(fn (array $c) => Money::of($c['amount']), $body->body['contingencies']));
        $payments = Money::sum(
            array_map(fn (array $p) => Money::ofOrNull($p['amount']) ?? Money::none(), $body->body['payments']),
        );
        $of = $quote->total();

        return [
            ...$faults,
            ...($quote->room()->isLessThan($moves) ? [[QuoteFault::AboveCeiling, null]] : []),
            ...($quote->painting()->isLessThan($of->discount) ? [[QuoteFault::DiscountTooLarge, null]] : []),
            ...($faults === [] && $of->sum->isLessThan($payments) ? [[QuoteFault::PaymentsTooLarge, null]] : []),
        ];
    }

    /** @return array<string, mixed> */
    private function unit(Unit $unit, Standard $standard, bool $isFixed): array
    {
        $tier = $standard->tier($unit->tier);
        $price = $this->prices->of($unit);

        return [
            'id' => $unit->id,
            'figure' => $unit->sculpt->name,
            'label' => $unit->label,
            'count' => $unit->standing()->count(),
            'tier' => $tier->key,
            'tier_name' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
            'intent' => $tier->intent,
            'distance_cm' => $tier->viewing->distanceCm,
            'price' => $price?->price->decimal() ?? '0.00',
            'ceiling' => ($isFixed ? $price?->price : $price?->ceiling)?->decimal() ?? '0.00',
        ];
    }

    /** @return array{gets: list<string>, not: list<string>} in a client's words */
    private function words(Unit $unit): array
    {
        $plan = $this->plans->plan($unit);
        $standard = $plan->request->standard;
        if ($plan->request->isQuotedByHand()) {
            return ['gets' => [], 'not' => []];
        }
        [$below, $next] = self::neighbours($standard, $plan->request->tier);
        $from = $this->at($plan, $below ?? $plan->request->tier->saying([]));

        return [
            'gets' => array_slice((new Voices(new TierDifference($from, $plan)))->benefits(), 0, self::GETS),
            'not' => $next === null
                ? []
                : array_slice(
                    (new Voices(new TierDifference($plan, $this->at($plan, $next))))->benefits(),
                    0,
                    self::NOT,
                ),
        ];
    }

    /** The same at another tier, without what was agreed beside its own. */
    private function at(Plan $plan, Tier $tier): Plan
    {
        return $this->planner->plan($plan->request->at($tier)->amended([]));
    }

    /** @return array{Tier|null, Tier|null} the offered rungs below and above */
    private static function neighbours(Standard $standard, Tier $tier): array
    {
        $below = $next = null;
        foreach ((new Grid($standard))->tiers() as $other) {
            if ($other->status === TierStatus::Offered && $other->order < $tier->order) {
                $below = $other;
            }
            if ($other->status === TierStatus::Offered && $other->order > $tier->order) {
                $next ??= $other;
            }
        }

        return [$below, $next];
    }

    /** @return list<array<string, mixed>> what was agreed beside the tier at a price */
    private function amended(Unit $unit): array
    {
        $agreed = $this->amendments->agreedPrices($unit);

        return array_map(
            fn (int $n, array $a) => [
                'id' => "agreed-$unit->id-$n",
                'unit' => $unit->id,
                'words' => $a['reason'],
                'from' => null,
                'count' => 1,
                'price' => $a['price'],
                'choice' => false,
                'amendment' => null,
            ],
            array_keys($agreed),
            $agreed,
        );
    }
}
