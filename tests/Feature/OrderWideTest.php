<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Order;
use App\Models\OverruleRow;
use App\Models\Unit;
use Ordotype\Core\Studio\OrderStatus;

/** What holds for a whole order is written from several of its units: nothing of it is lost, and nothing else goes. */
final class OrderWideTest extends StudioTestCase
{
    public function test_rules_set_aside_from_two_units_of_one_order_are_both_there(): void
    {
        [$one, $other] = [$this->unit('26-041'), $this->unit('26-041', 1)];
        // Both looked at the order before either wrote.
        $one->load('order.overrules');
        $other->load('order.overrules');
        $first = $this->setAside($one, 0);
        $second = $this->setAside($other, 0);
        $kept = OverruleRow::query()->where('order_id', $one->order_id)->pluck('id')->all();
        self::assertContains($first['id'], $kept);
        self::assertContains($second['id'], $kept);
    }

    public function test_what_is_taken_away_is_what_was_meant_though_the_list_has_moved(): void
    {
        $unit = $this->unit('26-041');
        $ids = [$this->setAside($unit, 0)['id'], $this->setAside($unit, 1)['id'], $this->setAside($unit, 2)['id']];
        $away = fn (int $id, int $status) => $this->api(
            'lead',
            'DELETE',
            "units/$unit->id/overrules/$id",
            ['revision' => $unit->refresh()->revision],
            $status,
        );
        $away($ids[0], 200);
        $left = $away($ids[1], 200);
        self::assertSame([$ids[2]], array_column($left->json('overrules'), 'id'));
        $away($ids[1], 404);
        $foreign = $this->setAside($this->unit('26-036'), 0)['id'];
        $away($foreign, 404);
        self::assertTrue(OverruleRow::query()->whereKey($foreign)->exists(), 'of another order');
    }

    public function test_said_again_a_rule_is_set_aside_once_with_the_newer_reason(): void
    {
        $unit = $this->unit('26-041');
        $first = $this->setAside($unit, 0);
        $again = $this->setAside($unit, 0, 'It dries faster than it says.');
        self::assertSame($first['id'], $again['id']);
        self::assertSame('It dries faster than it says.', $again['reason']);
    }

    public function test_a_method_that_somebody_wrote_from_another_unit_is_not_written_over(): void
    {
        [$one, $other] = [$this->unit('26-041'), $this->unit('26-041', 1)];
        $looked = [$this->plan($one), $this->plan($other)];
        $method = fn (array $plan, string $backs, int $status) => $this->api(
            'lead',
            'PUT',
            "units/{$plan['unit']['id']}/method",
            [
                'revision' => $plan['unit']['revision'],
                'order_revision' => $plan['order_revision'],
                'method' => ['backs' => $backs],
            ],
            $status,
        );
        $method($looked[0], 'simpler', 200);
        $refused = $method($looked[1], 'same', 409);
        self::assertSame($looked[0]['order_revision'] + 1, $refused->json('current.revision'));
        self::assertStringContainsString('simpler', (string) Order::query()->findOrFail($one->order_id)->method);
    }

    /** Each of the two is done on the order as it is now, whatever it was when the unit was read. */
    public function test_how_an_order_stands_is_read_anew_before_it_is_changed(): void
    {
        $unit = $this->unit('26-041');
        $order = Order::query()->findOrFail($unit->order_id);
        $order->update(['status' => OrderStatus::Done]);
        $this->api('lead', 'POST', "units/$unit->id/release", [
            'revision' => $unit->revision,
            'despite' => 'The client waits.',
        ], 200);
        self::assertSame(OrderStatus::Done, $order->refresh()->status, 'no earlier state comes back');
    }

    /** @return array<string, mixed> the rule that was set aside between two steps that follow one another */
    private function setAside(Unit $unit, int $nth, string $reason = 'Tried on the test model.'): array
    {
        $plan = $this->plan($unit);
        $steps = array_values(array_filter($plan['plan']['steps'], fn (array $s) => $s['area'] !== null));
        $rule = [
            'rule' => 'dry_through',
            'earlier' => self::place($steps[2 * $nth]),
            'later' => self::place($steps[2 * $nth + 1]),
        ];
        $set = $this->api('lead', 'POST', "units/$unit->id/overrules", [
            'revision' => $plan['unit']['revision'],
            'rules' => [$rule],
            'reason' => $reason,
        ], 200);
        $found = array_filter(
            $set->json('overrules'),
            fn (array $o) => array_intersect_key($o, $rule) == $rule,
        );
        self::assertCount(1, $found);

        return array_values($found)[0];
    }

    /** @param  array<string, mixed>  $step */
    private static function place(array $step): string
    {
        return implode(':', array_slice(explode(':', $step['key']), 0, 2));
    }

    /** @return array<string, mixed> */
    private function plan(Unit $unit): array
    {
        return $this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json();
    }
}
