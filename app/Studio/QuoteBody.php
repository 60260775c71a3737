<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\Quote;
use Ordotype\Core\Studio\QuoteItem;
use Ordotype\Core\Studio\QuoteLine;
use Ordotype\Core\Studio\QuoteLineKind;

/**
 * What a version of a quote says, and what that comes to.
 *
 * @phpstan-type QuotedUnit array{id: int, figure: string, label: string|null, count: int, tier: string,
 *     tier_name: string, order: int, status: string, intent: string, distance_cm: int|float, price: string,
 *     ceiling: string, gets: list<string>, not: list<string>}
 * @phpstan-type QuotedExtra array{id: string, unit: int, words: string, from: string|null, count: int,
 *     price: string, choice: bool, amendment: array<string, mixed>|null}
 * @phpstan-type QuotedLine array{id: string, kind: string, words: string, amount: string, tax: string|null}
 * @phpstan-type QuotedContingency array{id: string, unit: int|null, words: string, amount: string}
 * @phpstan-type QuotedPayment array{when: string, on: string|null, amount: string|null, percent: int|null}
 * @phpstan-type Discount array{percent: string|null, amount: string|null, reason: string}
 * @phpstan-type Body array{end: string, currency: string, tax: array{rate: string|null, included: bool},
 *     standard: int, units: list<QuotedUnit>, extras: list<QuotedExtra>, lines: list<QuotedLine>,
 *     discount: Discount|null, contingencies: list<QuotedContingency>, payments: list<QuotedPayment>,
 *     promised: string|null, changes?: list<array<string, mixed>>}
 */
final readonly class QuoteBody
{
    /** @param  Body  $body */
    private function __construct(public array $body)
    {
    }

    /** @param  array<string, mixed>  $body  as it is kept */
    public static function of(array $body): self
    {
        /** @var Body $body */
        return new self($body);
    }

    /** @return list<string> ids of the extras that a client chooses among */
    public function choices(): array
    {
        return array_column(array_filter($this->body['extras'], fn (array $e) => $e['choice']), 'id');
    }

    /**
     * @param  list<string>  $ticks  ids of the extras that are taken
     * @param  list<string>  $cameTrue  ids of what moved the price
     */
    public function quote(array $ticks, array $cameTrue = []): Quote
    {
        $lines = array_map(
            fn (array $u) => new QuoteLine(
                QuoteLineKind::Unit,
                $u['count'],
                Money::of($u['price']),
                Money::of($u['ceiling']),
            ),
            $this->body['units'],
        );
        foreach ($this->extras($ticks) as $extra) {
            $lines[] = QuoteLine::fixed(QuoteLineKind::Extra, Money::of($extra['price']), $extra['count']);
        }
        foreach ($this->body['contingencies'] as $c) {
            if (in_array($c['id'], $cameTrue, true)) {
                $lines[] = QuoteLine::fixed(QuoteLineKind::CameTrue, Money::of($c['amount']));
            }
        }
        foreach ($this->body['lines'] as $line) {
            $tax = $line['tax'] === null ? null : PerCent::of($line['tax']);
            $lines[] = QuoteLine::fixed(QuoteLineKind::from($line['kind']), Money::of($line['amount']), 1, $tax);
        }
        $rate = $this->body['tax']['rate'];

        return new Quote(
            $lines,
            self::discount($this->body['discount']),
            $rate === null ? null : PerCent::of($rate),
            $this->body['tax']['included'],
        );
    }

    /**
     * Every line as it is printed, and what they come to, at the price and at most.
     *
     * @param  list<string>  $ticks
     * @param  list<string>  $cameTrue
     * @return array<string, mixed>
     */
    public function sums(array $ticks, array $cameTrue = []): array
    {
        $quote = $this->quote($ticks, $cameTrue);
        [$price, $most] = [$quote->total(), $quote->total(true)];
        $core = array_map(
            fn (array $p) => new Payment(
                PaymentWhen::from($p['when']),
                Money::ofOrNull($p['amount']),
                $p['percent'],
            ),
            $this->body['payments'],
        );
        $due = Payment::sums($price->sum, $core);
        $taxes = [];
        foreach ($price->taxes as $rate => $tax) {
            $taxes[] = [
                'rate' => (string) $rate,
                'price' => $tax->decimal(),
                'ceiling' => $most->taxes[$rate]->decimal(),
            ];
        }

        return [
            'lines' => array_map(
                fn (QuoteLine $l, Money $sum, Money $atMost) => [
                    'kind' => $l->kind->value,
                    'price' => $sum->decimal(),
                    'ceiling' => $atMost->decimal(),
                ],
                $quote->lines,
                $price->lines,
                $most->lines,
            ),
            'discount' => $price->discount->decimal(),
            'discount_at_most' => $most->discount->decimal(),
            'taxes' => $taxes,
            'price' => $price->sum->decimal(),
            'ceiling' => $most->sum->decimal(),
            'payments' => array_map(fn (Money $m) => $m->decimal(), $due),
        ];
    }

    /**
     * @param  list<string>  $ticks
     * @return list<QuotedExtra> those that are in it
     */
    public function extras(array $ticks): array
    {
        return array_values(
            array_filter(
                $this->body['extras'],
                fn (array $e) => ! $e['choice'] || in_array($e['id'], $ticks, true),
            ),
        );
    }

    /**
     * As it was answered: extras that were not taken fell away.
     *
     * @param  list<string>  $ticks
     */
    public function withTicks(array $ticks): self
    {
        return $ticks === [] && $this->choices() === []
            ? $this
            : new self(['extras' => $this->extras($ticks)] + $this->body);
    }

    /** @return list<QuoteItem> what the next version can have otherwise */
    public function items(): array
    {
        $items = [];
        foreach ($this->body['units'] as $u) {
            $name = $u['figure'].($u['label'] === null ? '' : ", {$u['label']}");
            $items[] = new QuoteItem("unit {$u['id']}", $name, $u['tier_name'], $u['count'], Money::of($u['price']));
        }
        foreach ($this->body['extras'] as $e) {
            $items[] = new QuoteItem("extra {$e['id']}", $e['words'], null, $e['count'], Money::of($e['price']));
        }
        foreach ($this->body['lines'] as $l) {
            $items[] = new QuoteItem("line {$l['id']}", $l['words'], null, 1, Money::of($l['amount']));
        }
        $discount = $this->body['discount'];
        if ($discount !== null) {
            $off = $this->quote([])->total()->discount;
            $items[] = new QuoteItem('discount', $discount['reason'], null, 1, Money::none()->minus($off));
        }

        return $items;
    }

    /** @param  Discount|null  $discount */
    private static function discount(?array $discount): PerCent|Money|null
    {
        return match (true) {
            isset($discount['percent']) => PerCent::of($discount['percent']),
            isset($discount['amount']) => Money::of($discount['amount']),
            default => null,
        };
    }
}
