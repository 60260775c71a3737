<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\MoveCondition;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderMove;
use Ordotype\Core\Studio\OrderMoves;
use Ordotype\Core\Studio\OrderSituation;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\OwedLine;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\QuotesSetting;
use PHPUnit\Framework\TestCase;

/** The moves of an order against the design's table, and what each of its conditions lets through. */
final class OrderMovesTest extends TestCase
{
    public function test_every_pair_of_states_by_everybody_is_what_the_table_says(): void
    {
        $table = [];
        foreach (Csv::rows('order-moves.csv') as $row) {
            foreach (explode(';', $row['by']) as $by) {
                $table["{$row['from']} {$row['to']} $by"][] = $row['condition'];
            }
        }
        self::assertCount(27, $table, 'so many ways the design has');
        foreach (OrderStatus::cases() as $from) {
            foreach (OrderStatus::cases() as $to) {
                foreach (Mover::cases() as $by) {
                    $ours = array_map(
                        fn (OrderMove $m) => implode(';', array_map(fn (MoveCondition $c) => $c->value, $m->conditions)),
                        OrderMoves::between($from, $to, $by),
                    );
                    $theirs = $table["$from->value $to->value $by->value"] ?? [];
                    self::assertSame($theirs, $ours, "$from->value to $to->value by $by->value");
                }
            }
        }
    }

    public function test_each_condition_is_missing_by_itself_and_is_said(): void
    {
        $all = [
            'pieces' => [Stage::Delivered, Stage::Lost, Stage::Cancelled],
            'isPriced' => true,
            'hasReleases' => true,
            'isPaid' => true,
            'isClaim' => true,
            'isWithdrawn' => true,
            'reason' => 'They asked for it.',
        ];
        // What has to be otherwise for the one condition alone.
        $against = [
            'unit_with_tier_and_price' => ['isPriced' => false],
            'newest_version' => ['isNewest' => false],
            'within_days' => ['isWithinDays' => false],
            'setting_quotes_not_always' => ['quotes' => QuotesSetting::Always],
            'first_release' => ['hasReleases' => false],
            'no_blocking_question' => ['isHeldByQuestion' => true],
            'received_if_asked' => ['isReceived' => false],
            'due_payment_noted_or_reason' => ['isDuePaid' => false, 'reason' => ' '],
            'last_release_taken_back' => ['hasReleases' => true],
            'all_pieces_signed_delivered_lost_or_cancelled' => ['pieces' => [Stage::Signed, Stage::Passed]],
            'all_pieces_delivered_lost_or_cancelled' => ['pieces' => [Stage::Delivered, Stage::Signed]],
            'sign_off_withdrawn' => ['isWithdrawn' => false],
            'paid_or_reason' => ['isPaid' => false, 'reason' => ''],
            'claim' => ['isClaim' => false],
            'reason' => ['reason' => ''],
        ];
        foreach (MoveCondition::cases() as $condition) {
            $given = $condition === MoveCondition::LastReleaseTakenBack ? ['hasReleases' => false] + $all : $all;
            self::assertTrue((new OrderSituation(...$given))->holds($condition), $condition->value);
            $without = new OrderSituation(...$against[$condition->value] + $all);
            self::assertFalse($without->holds($condition), $condition->value);
            foreach (OrderMoves::all() as $move) {
                $others = array_filter($move->conditions, fn (MoveCondition $c) => $c !== $condition);
                if ($others === [] && $move->conditions !== []) {
                    self::assertSame([$condition], $move->missing($without));
                }
            }
        }
        $paid = new OrderSituation(isDuePaid: false, reason: 'An old friend of the house.');
        self::assertTrue($paid->holds(MoveCondition::DuePaymentNotedOrReason), 'the lead has a reason');
        self::assertFalse((new OrderSituation())->holds(MoveCondition::AllPiecesGone), 'of nothing, not everything');
    }

    public function test_it_moves_by_itself_only_where_everything_holds_and_never_closes_by_itself_at_once(): void
    {
        $to = fn (OrderStatus $from, OrderSituation $so) => OrderMoves::ofItself($from, $so)?->to;
        $signed = new OrderSituation([Stage::Signed, Stage::Lost], hasReleases: true);
        self::assertSame(OrderStatus::Done, $to(OrderStatus::InWork, $signed));
        self::assertNull($to(OrderStatus::Done, $signed));
        $gone = new OrderSituation([Stage::Delivered, Stage::Lost], hasReleases: true, isPaid: true);
        self::assertSame(OrderStatus::Delivered, $to(OrderStatus::Done, $gone));
        self::assertNull($to(OrderStatus::Delivered, $gone), 'the days for claims are the calendar’s');
        $released = new OrderSituation([Stage::Planned], hasReleases: true);
        self::assertSame(OrderStatus::InWork, $to(OrderStatus::Accepted, $released));
        self::assertNull($to(OrderStatus::Draft, $released));
        self::assertSame(OrderStatus::Accepted, $to(OrderStatus::InWork, new OrderSituation([Stage::Planned])));
    }

    public function test_payments_add_up_to_the_whole_and_what_is_owed_is_exact(): void
    {
        $share = fn (int $percent) => new Payment(PaymentWhen::OnAcceptance, null, $percent);
        $sums = fn (string $whole, array $payments) => array_map(
            fn (Money $m) => $m->decimal(),
            Payment::sums(Money::of($whole), $payments),
        );
        self::assertSame(['33.00', '33.00', '34.01'], $sums('100.01', [$share(33), $share(33), $share(34)]));
        $sum = new Payment(PaymentWhen::BeforeBench, Money::of('40'), null);
        self::assertSame(['40.00', '60.01'], $sums('100.01', [$sum, $share(50)]), 'the last one takes the rest');
        self::assertSame(['30.00', '0.00'], $sums('30', [$sum, $share(50)]), 'never more than there is');
        // 3 × 22.50 and 50 minutes at 34.50 an hour, 28.75.
        $line = new OwedLine('Watch', 3, Money::of('22.50'), 50.0, Money::of('34.50'));
        self::assertSame('96.25', $line->sum->decimal());
        self::assertSame('0.01', Money::halfUp(1.0, Money::of('0.30'))->decimal(), 'half a cent goes up');
    }
}
