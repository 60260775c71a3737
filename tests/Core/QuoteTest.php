<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use InvalidArgumentException;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Studio\Budget;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\PieceCost;
use Ordotype\Core\Studio\Quote;
use Ordotype\Core\Studio\QuoteChange;
use Ordotype\Core\Studio\QuoteItem;
use Ordotype\Core\Studio\QuoteLine;
use Ordotype\Core\Studio\QuoteLineKind;
use Ordotype\Core\Studio\UnitPrice;
use Ordotype\Core\Words\QuoteWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Money to the cent: a worked example by hand, and random quotes against exact rational arithmetic of a library. */
final class QuoteTest extends TestCase
{
    /**
     * By hand: 12 × 26.00 = 312.00, at most 12 × 30.00 = 360.00; 172.00, at most 200.00; rust on eleven at 1.50 = 16.50
     * and a lit sleeve at 14.35. Painting 514.85, at most 590.85. Off it 5 %: 25.7425 is 25.74, at most 29.5425 is
     * 29.54. Decals 12.40. On 501.51 a tax of 19 %: 95.2869 is 95.29; on 573.71 it is 109.0049, so 109.00.
     */
    public function test_the_worked_example_comes_out_to_the_cent(): void
    {
        $quote = self::example(false);
        [$price, $most] = [$quote->total(), $quote->total(true)];
        self::assertSame(['25.74', '95.29', '596.80'], self::read($price));
        self::assertSame(['29.54', '109.00', '682.71'], self::read($most));
        self::assertSame('76.00', $quote->room()->decimal());
        $payments = [
            new Payment(PaymentWhen::OnAcceptance, null, 30),
            new Payment(PaymentWhen::BeforeSending, null, 70),
        ];
        self::assertSame(
            ['179.04', '417.76'],
            array_map(fn (Money $m) => $m->decimal(), Payment::sums($price->sum, $payments)),
        );
    }

    /** With the tax in the prices the sum is 501.51, and 19 of 119 of it are 80.0730: 80.07. */
    public function test_a_tax_that_prices_hold_already_adds_nothing(): void
    {
        self::assertSame(['25.74', '80.07', '501.51'], self::read(self::example(true)->total()));
    }

    public function test_random_quotes_equal_exact_rational_arithmetic(): void
    {
        $dice = new Randomizer(new Mt19937(29));
        for ($n = 0; $n < 400; $n++) {
            [$quote, $given] = self::random($dice);
            foreach ([false, true] as $atMost) {
                $total = $quote->total($atMost);
                $expected = self::inFractions($given, $atMost);
                self::assertSame($expected['discount'], $total->discount->decimal(), "case $n");
                self::assertSame($expected['sum'], $total->sum->decimal(), "case $n");
                $taxes = [];
                foreach ($total->taxes as $rate => $tax) {
                    $taxes["$rate %"] = $tax->decimal();
                }
                ksort($taxes);
                self::assertSame($expected['taxes'], $taxes, "case $n");
                // The sum is the sum of what is printed.
                $printed = Money::sum($total->lines)->minus($total->discount);
                $printed = $given['included'] ? $printed : $printed->plus(Money::sum($total->taxes));
                self::assertSame($printed->decimal(), $total->sum->decimal(), "case $n");
            }
        }
    }

    public function test_amounts_are_read_written_and_rounded_half_up_by_their_size(): void
    {
        self::assertSame('-0.05', Money::of('-0.05')->decimal());
        self::assertSame(['-1.50', '12.00'], [Money::of('-1.5')->decimal(), Money::of('12')->decimal()]);
        self::assertSame('0.13', Money::of('2.50')->share(PerCent::of('5'))->decimal());
        self::assertSame('-0.13', Money::of('-2.50')->share(PerCent::of('5'))->decimal());
        self::assertSame('7.705', PerCent::of('7.705')->decimal());
        self::assertSame(['19', '0.5'], [PerCent::of('19.000')->decimal(), PerCent::of('0.50')->decimal()]);
        // Nothing leaves the integers on the way.
        self::assertSame('9999999999990.00', Money::of('999999999999.00')->share(PerCent::of('1000'))->decimal());
        foreach (['1.234', '', '1,5', '--1', '1e3', ' 1'] as $wrong) {
            try {
                Money::of($wrong);
                self::fail("\"$wrong\" is no amount");
            } catch (InvalidArgumentException $e) {
                self::assertStringContainsString('not an amount', $e->getMessage());
            }
        }
        $this->expectException(InvalidArgumentException::class);
        PerCent::of('1000.001');
    }

    /** @return iterable<string, array{string|null, string|null, string|null, array{string, string}|null}> */
    public static function prices(): iterable
    {
        yield 'the middle of the card, at most its high end' => ['22.00', '30.00', null, ['26.00', '30.00']];
        yield 'half a cent goes up' => ['22.00', '30.01', null, ['26.01', '30.01']];
        yield 'as the lead sets it' => ['22.00', '30.00', '24.50', ['24.50', '30.00']];
        yield 'agreed beside the card' => ['22.00', '30.00', '33.00', ['33.00', '33.00']];
        yield 'an open end has no middle' => ['600.00', null, null, null];
        yield 'an open end wants a ceiling' => ['600.00', null, '640.00', null];
    }

    /** @param  array{string, string}|null  $is */
    #[DataProvider('prices')]
    public function test_a_price_and_its_ceiling_come_from_the_card(
        string $low,
        ?string $high,
        ?string $set,
        ?array $is,
    ): void {
        $price = UnitPrice::of(self::card($low, $high), Money::ofOrNull($set), null);
        self::assertSame($is, $price === null ? null : [$price->price->decimal(), $price->ceiling->decimal()]);
    }

    public function test_where_nothing_is_on_the_card_both_are_typed(): void
    {
        self::assertNull(UnitPrice::of(null, Money::of('40'), null));
        $typed = UnitPrice::of(null, Money::of('40'), Money::of('55'));
        self::assertSame(['40.00', '55.00'], [$typed?->price->decimal(), $typed?->ceiling->decimal()]);
        self::assertTrue(UnitPrice::isWithin(self::card('22.00', '30.00'), Money::of('30')));
        self::assertFalse(UnitPrice::isWithin(self::card('22.00', '30.00'), Money::of('30.01')));
        self::assertFalse(UnitPrice::isWithin(self::card('600.00', null), Money::of('599.99')));
        self::assertTrue(UnitPrice::isWithin(null, Money::of('1')));
    }

    /**
     * By hand: 45 minutes at 34.00 are 25.50, with paint for 0.85 that is 26.35; a tenth of overhead 2.635, so 2.64:
     * 28.99. A quarter on it: 7.2475, so 36.24. Minutes times exp(±1.28 × 0.25) = 1.37713 and 0.72615: 61.971 minutes
     * are 35.12 and 32.677 are 18.52; with paint and overhead 39.57 and 21.31.
     */
    public function test_what_a_piece_costs_and_between_what(): void
    {
        $cost = new PieceCost(45.0, Money::of('34'), Money::of('0.85'), PerCent::of('10'));
        self::assertSame('28.99', $cost->cost->decimal());
        self::assertSame('36.24', $cost->markedUp(PerCent::of('25'))->decimal());
        self::assertSame(['21.31', '39.57'], [$cost->band()->low->decimal(), $cost->band()->high->decimal()]);
    }

    public function test_a_budget_gives_one_rung_for_all_and_raises_with_what_is_left_those_that_are_looked_at_most(): void
    {
        // Rungs of a hero and of ten of the line, and what each costs.
        $costs = [[20, 40, 80, 160], [100, 200, 400, 900]];
        $spends = fn (int $budget): ?array => Budget::rungs(
            [3, 3],
            [0, 1],
            fn (array $rungs) => $costs[0][$rungs[0]] + $costs[1][$rungs[1]] <= $budget,
        );
        self::assertNull($spends(119));
        self::assertSame([0, 0], $spends(120));
        self::assertSame([1, 0], $spends(140));
        self::assertSame([2, 0], $spends(180));
        self::assertSame([1, 1], $spends(240));
        self::assertSame([3, 1], $spends(360));
        self::assertSame([3, 3], $spends(5000));
        self::assertNull(Budget::rungs([], [], fn () => true));
    }

    public function test_what_a_version_has_otherwise_is_said_once_each(): void
    {
        $item = fn (string $id, string $words, ?string $tier, int $count, string $price) => new QuoteItem(
            $id,
            $words,
            $tier,
            $count,
            Money::of($price),
        );
        $before = [
            $item('unit 1', 'Sluice Warden', 'Company', 10, '26'),
            $item('unit 2', 'Mudlark', 'Muster', 4, '9.40'),
            $item('extra 1', 'rust', null, 1, '16.50'),
            $item('extra 2', 'a lit sleeve', null, 1, '14'),
        ];
        $after = [
            $item('unit 1', 'Sluice Warden', 'Banner', 12, '50'),
            $item('extra 1', 'rust', null, 1, '16.50'),
            $item('extra 2', 'a lit sleeve', null, 1, '15'),
            $item('line 1', 'postage', null, 1, '9'),
        ];
        self::assertSame(
            [
                ['~', 'Sluice Warden: 12 instead of 10, Banner instead of Company', '600.00'],
                ['~', 'a lit sleeve: another price', '15.00'],
                ['+', 'postage', '9.00'],
                ['-', '4 × Mudlark at Muster', '37.60'],
            ],
            array_map(
                fn (QuoteChange $c) => array_values(QuoteWords::change($c)),
                QuoteChange::between($before, $after),
            ),
        );
        self::assertSame([], QuoteChange::between($after, $after));
    }

    private static function example(bool $included): Quote
    {
        return new Quote(
            [
                new QuoteLine(QuoteLineKind::Unit, 12, Money::of('26'), Money::of('30')),
                new QuoteLine(QuoteLineKind::Unit, 1, Money::of('172'), Money::of('200')),
                QuoteLine::fixed(QuoteLineKind::Extra, Money::of('1.50'), 11),
                QuoteLine::fixed(QuoteLineKind::Extra, Money::of('14.35')),
                QuoteLine::fixed(QuoteLineKind::Kit, Money::of('12.40'), 1, PerCent::of('19')),
            ],
            PerCent::of('5'),
            PerCent::of('19'),
            $included,
        );
    }

    /** @return array{string, string, string} discount, the one tax, sum */
    private static function read(\Ordotype\Core\Studio\QuoteTotal $total): array
    {
        self::assertCount(1, $total->taxes);

        return [
            $total->discount->decimal(),
            array_values($total->taxes)[0]->decimal(),
            $total->sum->decimal(),
        ];
    }

    private static function card(string $low, ?string $high): PriceRange
    {
        return new PriceRange(Size::Infantry, Role::Regular, 'company', $low, $high);
    }

    /** @return array{Quote, array<string, mixed>} */
    private static function random(Randomizer $dice): array
    {
        $amount = fn (int $most): string => Money::ofCents($dice->getInt(1, $most))->decimal();
        $rates = ['19', '7', '7.7', '8.875', '5.5', '0'];
        $rate = fn (): ?string => $dice->getInt(0, 3) === 0 ? null : $rates[$dice->getInt(0, 5)];
        $given = ['lines' => [], 'tax' => $rate(), 'included' => $dice->getInt(0, 1) === 1];
        for ($i = $dice->getInt(1, 60); $i > 0; $i--) {
            $price = $amount(70000);
            $ceiling = Money::of($price)->plus(Money::of($amount(9000)))->decimal();
            $given['lines'][] = [QuoteLineKind::Unit, $dice->getInt(1, 40), $price, $ceiling, null];
        }
        for ($i = $dice->getInt(0, 6); $i > 0; $i--) {
            $price = $amount(4000);
            $given['lines'][] = [QuoteLineKind::Extra, $dice->getInt(1, 12), $price, $price, null];
        }
        for ($i = $dice->getInt(0, 4); $i > 0; $i--) {
            $price = $amount(6000);
            $given['lines'][] = [QuoteLineKind::beside()[$dice->getInt(0, 4)], 1, $price, $price, $rate()];
        }
        $given['discount'] = [null, '5', '12.5', '33.333', '100'][$dice->getInt(0, 4)];
        $quote = new Quote(
            array_map(
                fn (array $l) => new QuoteLine(
                    $l[0],
                    $l[1],
                    Money::of($l[2]),
                    Money::of($l[3]),
                    $l[4] === null ? null : PerCent::of($l[4]),
                ),
                $given['lines'],
            ),
            $given['discount'] === null ? null : PerCent::of($given['discount']),
            $given['tax'] === null ? null : PerCent::of($given['tax']),
            $given['included'],
        );

        return [$quote, $given];
    }

    /**
     * The same by the page's words, in exact fractions.
     *
     * @param  array<string, mixed>  $given
     * @return array{discount: string, taxes: array<string, string>, sum: string}
     */
    private static function inFractions(array $given, bool $atMost): array
    {
        $cent = fn (BigRational $r): BigRational => BigRational::of($r->toScale(2, RoundingMode::HALF_UP));
        $painting = $all = BigRational::zero();
        $bases = [];
        foreach ($given['lines'] as [$kind, $count, $price, $ceiling, $tax]) {
            $line = $cent(BigRational::of($atMost ? $ceiling : $price)->multipliedBy($count));
            $all = $all->plus($line);
            $rate = $kind->isPainting() ? $given['tax'] : $tax;
            $painting = $kind->isPainting() ? $painting->plus($line) : $painting;
            if ($rate !== null) {
                $bases[$rate] = ($bases[$rate] ?? BigRational::zero())->plus($line);
            }
        }
        $discount = $cent($painting->multipliedBy(BigRational::of($given['discount'] ?? '0'))->dividedBy(100));
        if ($given['tax'] !== null && ! $discount->isZero()) {
            $bases[$given['tax']] = $bases[$given['tax']]->minus($discount);
        }
        $taxes = [];
        $sum = $all->minus($discount);
        foreach ($bases as $rate => $base) {
            $share = BigRational::of((string) $rate);
            $tax = $cent(
                $given['included']
                    ? $base->multipliedBy($share)->dividedBy($share->plus(100))
                    : $base->multipliedBy($share)->dividedBy(100),
            );
            $taxes["$rate %"] = (string) BigDecimal::of($tax->toScale(2));
            $sum = $given['included'] ? $sum : $sum->plus($tax);
        }
        ksort($taxes);

        return [
            'discount' => (string) $discount->toScale(2),
            'taxes' => $taxes,
            'sum' => (string) $sum->toScale(2),
        ];
    }
}
