<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\Amounts;
use App\Models\Order;
use Ordotype\Core\Studio\OrderStatus;
use PHPUnit\Framework\Attributes\DataProvider;
use stdClass;
use Tests\Support\Contract;

/** Orders, what was agreed on them, and how prices are written. */
final class OrdersAndPricesTest extends StudioTestCase
{
    public function test_a_new_order_has_the_clients_last_colours_or_none(): void
    {
        $known = Order::query()->whereNotNull('scheme_id')->orderByDesc('id')->firstOrFail();
        $again = $this->api('desk', 'POST', 'orders', ['client' => $known->client, 'title' => 'More of them'], 201);
        self::assertSame($known->scheme?->name, $again->json('scheme'));
        $new = $this->api('desk', 'POST', 'orders', ['client' => 'Somebody New', 'title' => 'First'], 201);
        self::assertNull($new->json('scheme'));
    }

    public function test_an_amount_without_decimals_is_a_price_and_what_an_amendment_costs_reaches_the_order(): void
    {
        $unit = $this->unit('26-041');
        $amendment = [
            'level' => 'unit',
            'do' => 'omit',
            'clause' => null,
            'technique' => 'tidy_base',
            'scope' => (object) [],
            'values' => (object) [],
            'reason' => 'A finer hem.',
            'price' => '6',
            'on' => null,
        ];
        $made = $this->api(
            'lead',
            'POST',
            "units/$unit->id/amendments",
            ['revision' => $unit->revision, 'amendment' => $amendment],
            200,
        );
        $mine = collect($made->json('amendments'))->firstWhere('amendment.reason', 'A finer hem.');
        self::assertSame('6.00', $mine['amendment']['price']);
        $order = $this->api('desk', 'GET', "orders/$unit->order_id", null, 200);
        $agreed = collect($order->json('unit_plans'))->firstWhere('unit', $unit->id)['agreed'];
        self::assertContains(['price' => '6.00', 'reason' => 'A finer hem.'], $agreed);

        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $price = ['size' => 'small', 'role' => 'centrepiece', 'tier' => 'muster', 'low' => '6', 'high' => '7,5'];
        $change = fn (array $p, int $status, ?array $before = null) => $this->api(
            'lead',
            'POST',
            'standard/draft/changes',
            ['changes' => [['what' => 'price', 'tier' => null, 'before' => $before, 'after' => $p]]],
            $status,
        );
        $kept = $change($price, 200)->json('changes.0.after');
        self::assertSame(['6.00', '7.50'], [$kept['low'], $kept['high']]);
        self::assertStringContainsString(
            'low',
            $change(['low' => 'six'] + $kept, 422, $kept)->json('errors.0.pointer'),
        );
    }

    #[DataProvider('amounts')]
    public function test_amounts_are_read_as_people_write_them(mixed $written, mixed $read): void
    {
        self::assertSame($read, Amounts::tidied($written));
    }

    /** @return list<array{mixed, mixed}> */
    public static function amounts(): array
    {
        return [
            ['6', '6.00'],
            [6, '6.00'],
            [6.5, '6.50'],
            [' 6,5 ', '6.50'],
            ['06.00', '6.00'],
            ['0', '0.00'],
            ['0.75', '0.75'],
            ['1234567.89', '1234567.89'],
            ['six', 'six'],
            ['6.005', '6.005'],
            ['-6', '-6'],
            ['', ''],
            [null, null],
            ['1e3', '1e3'],
        ];
    }

    public function test_a_tier_that_is_quoted_by_hand_has_no_minutes_and_takes_no_unit_until_clauses_are_agreed(): void
    {
        $unit = $this->unit('26-041');
        $tiers = collect($this->api('lead', 'GET', "units/$unit->id/tiers", null, 200)->json('data'));
        $open = $tiers->firstWhere('status', 'open');
        self::assertSame([null, null, null], [$open['minutes'], $open['price'], $open['raise']]);
        $refused = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/tier",
            ['revision' => $unit->revision, 'tier' => $open['key']],
            422,
        );
        self::assertStringContainsString('quoted by hand', (string) $refused->json('errors.0.detail'));
        // Clauses that are agreed for this order make it a plan.
        $agreed = [
            'level' => 'unit',
            'do' => 'add',
            'clause' => null,
            'technique' => 'layer',
            'scope' => ['area' => ['boots']],
            'values' => ['passes' => 2],
            'reason' => 'As agreed with the client.',
            'price' => null,
            'on' => null,
        ];
        $body = ['revision' => $unit->revision, 'amendment' => $agreed];
        $revision = $this->api('lead', 'POST', "units/$unit->id/amendments", $body, 200)->json('unit.revision');
        $tiers = collect($this->api('lead', 'GET', "units/$unit->id/tiers", null, 200)->json('data'));
        self::assertGreaterThan(0, $tiers->firstWhere('status', 'open')['minutes']);
        $to = ['revision' => $revision, 'tier' => $open['key']];
        $this->api('lead', 'PUT', "units/$unit->id/tier", $to, 200);
        $steps = $this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('plan.steps');
        self::assertContains('layer', array_column($steps, 'technique'));
    }

    public function test_the_ladder_says_which_open_orders_stand_on_a_tier(): void
    {
        $at = fn (string $tier) => $this->api('lead', 'GET', "standard/tiers/$tier/open-units", null, 200)->json();
        self::assertContains('26-041', $at('banner')['orders']);
        $tiers = $this->api('lead', 'GET', 'standard', null, 200)->json('tiers.*.key');
        self::assertSame(
            Order::query()->whereNotIn('status', OrderStatus::finished())->withCount('units')->get()->sum('units_count'),
            array_sum(array_map(fn (string $tier) => $at($tier)['units'], $tiers)),
        );
    }

    public function test_a_new_technique_is_on_no_tier_until_it_is_put_there(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $export = fn (): array => (array) json_decode(
            (string) $this->api('lead', 'GET', "standard/versions/{$this->number()}/export", null, 200)->getContent(),
            true,
        );
        $before = $export();
        $allowing = array_values(
            array_filter($before['tiers'], fn (array $t) => ($t['default_status'] ?? '') === 'allowed'),
        );
        if ($allowing === []) {
            $head = array_diff_key($before['tiers'][0], ['clauses' => 1]);
            $this->api(
                'lead',
                'POST',
                'standard/draft/changes',
                [
                    'changes' => [
                        [
                            'what' => 'tier',
                            'tier' => null,
                            'before' => $head,
                            'after' => ['default_status' => 'allowed'] + $head,
                        ],
                    ],
                ],
                200,
            );
            $before = $export();
            $allowing = [$before['tiers'][0]];
        }
        $technique =
            ['key' => 'sponge_fade', 'name' => 'Sponge fade'] +
            collect($before['techniques'])->firstWhere('key', 'stipple');
        $made = $this->api(
            'lead',
            'POST',
            'standard/draft/changes',
            [
                'changes' => [['what' => 'technique', 'tier' => null, 'before' => null, 'after' => $technique]],
            ],
            200,
        );
        self::assertSame(array_column($allowing, 'name'), $made->json('not_offered'));
        $tier = collect($export()['tiers'])->firstWhere('key', $allowing[0]['key']);
        $clause = collect($tier['clauses'])->firstWhere('technique', 'sponge_fade');
        self::assertSame('not_offered', $clause['status']);
        // Turned round, what came with it goes with it.
        $back = array_map(
            fn (array $c) => ['before' => $c['after'], 'after' => $c['before']] + $c,
            array_reverse($made->json('changes')),
        );
        $this->api('lead', 'POST', 'standard/draft/changes', ['changes' => $back], 200);
        self::assertEquals($before, $export());
    }

    private function number(): int
    {
        return (int) $this->api('lead', 'GET', 'standard', null, 200)->json('version.number');
    }

    /** Whatever the contract says may be written down of an order is kept, comes back, and is told to whoever was late. */
    public function test_every_fact_of_an_order_that_the_contract_names_is_kept(): void
    {
        $order = Order::query()->where('number', '26-041')->firstOrFail();
        $body = Contract::resolved(Contract::bodyOf('PUT', '/orders/{order}') ?? new stdClass());
        $facts = array_diff(array_keys(get_object_vars($body->properties)), ['revision']);
        self::assertGreaterThanOrEqual(4, count($facts));
        foreach ($facts as $fact) {
            $now = $this->api('desk', 'GET', "orders/$order->id", null, 200);
            $value = str_ends_with($fact, '_on') ? '2027-03-09' : "Of $fact";
            $sent = [$fact => $value, 'revision' => $now->json('revision')];
            self::assertSame($value, $this->api('desk', 'PUT', "orders/$order->id", $sent, 200)->json($fact), $fact);
            self::assertSame($value, $this->api('desk', 'PUT', "orders/$order->id", $sent, 409)->json("current.$fact"));
        }
    }

    public function test_facts_of_an_order_are_changed_one_by_one_and_never_over_somebody_elses_change(): void
    {
        $order = Order::query()->where('number', '26-041')->firstOrFail();
        $seen = $this->api('desk', 'GET', "orders/$order->id", null, 200);
        $facts = ['revision' => $seen->json('revision'), 'title' => 'Reeds, second wave', 'due_on' => '2027-02-03'];
        $kept = $this->api('desk', 'PUT', "orders/$order->id", $facts, 200);
        self::assertSame(
            ['Reeds, second wave', '2027-02-03', $seen->json('client'), $seen->json('brief')],
            [$kept->json('title'), $kept->json('due_on'), $kept->json('client'), $kept->json('brief')],
        );
        self::assertFalse($kept->json('late'));
        $late = $this->api('lead', 'PUT', "orders/$order->id", ['brief' => 'Mine'] + $facts, 409);
        self::assertSame('Reeds, second wave', $late->json('current.title'));
        self::assertSame($kept->json('revision'), $late->json('current.revision'));
        self::assertSame($seen->json('brief'), Order::query()->where('number', '26-041')->firstOrFail()->brief);

        $empty = ['revision' => $kept->json('revision'), 'title' => '  '];
        self::assertSame('/title', $this->api('desk', 'PUT', "orders/$order->id", $empty, 422)->json('errors.0.pointer'));
        $odd = ['revision' => $kept->json('revision'), 'due_on' => '31.02.2027'];
        self::assertSame('/due_on', $this->api('desk', 'PUT', "orders/$order->id", $odd, 422)->json('errors.0.pointer'));

        $day = fn (string $due) => $this->api('desk', 'PUT', "orders/$order->id", [
            'revision' => Order::query()->where('number', '26-041')->firstOrFail()->revision,
            'promised_on' => $due,
        ], 200)->json('late');
        self::assertFalse($day(self::today()->format('Y-m-d')), 'what is due today is not late yet');
        self::assertTrue($day(self::today()->subDay()->format('Y-m-d')));
        $this->api('painter', 'PUT', "orders/$order->id", $facts, 403);
    }
}
