<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Order;
use App\Models\ShareLink;
use Illuminate\Support\Facades\Queue;

/** What a client sees of their order by a link: that, and nothing else. */
final class OrderLinkTest extends StudioTestCase
{
    public function test_a_link_shows_the_order_without_money_or_names_and_nothing_else(): void
    {
        Queue::fake();
        $order = Order::query()->where('number', '26-033')->firstOrFail();
        $made = $this->api('desk', 'POST', "orders/$order->id/links", ['days' => 30], 201);
        self::assertMatchesRegularExpression('~^/for-you/[0-9a-f]{32}$~D', $made->json('path'));
        $secret = basename($made->json('path'));
        $shown = $this->api(null, 'GET', "for-you/$secret", null, 200);
        self::assertSame(['26-033', 'Gate wardens'], [$shown->json('number'), $shown->json('title')]);
        $unit = $shown->json('units.0');
        // Six models: one has passed, one was sent back, the others wait.
        self::assertSame(['Sluice Warden', 6, 1, 'Banner'], [
            $unit['figure'],
            $unit['count'],
            $unit['finished'],
            $unit['tier'],
        ]);
        self::assertContains('Everyone has eyes.', $unit['promised']);
        self::assertCount(2, $unit['drawn']);
        $this->api(null, 'GET', "drawn/{$unit['drawn']['front']}", null, 200)->assertJson(['state' => 'waiting']);
        $text = (string) $shown->getContent();
        foreach (['Ines', 'Sable Court', 'minutes', 'price', '"code"'] as $hidden) {
            self::assertStringNotContainsString($hidden, $text, $hidden);
        }
        // It cannot be widened into a sheet, nor a sheet's link into an order, nor guessed.
        $this->api(null, 'GET', "shared/$secret", null, 404);
        $sheet = $this->api(
            'lead',
            'POST',
            'shares',
            ['sculpt' => 'mudlark', 'prices' => false, 'days' => 3],
            201,
        )->json('path');
        $this->api(null, 'GET', 'for-you/'.basename($sheet), null, 404);
        $this->api(null, 'GET', 'for-you/'.str_repeat('0', 32), null, 404);
        self::assertCount(1, $this->api('lead', 'GET', 'shares', null, 200)->json('data'), 'each is listed in its place');
        $listed = $this->api('lead', 'GET', "orders/$order->id/links", null, 200)->json('data');
        self::assertSame([[$made->json('id'), true]], array_map(fn (array $l) => [$l['id'], $l['holds']], $listed));
        self::assertSame([], $this->api('lead', 'GET', 'orders/'.($order->id + 1).'/links', null, 200)->json('data'));
    }

    public function test_a_link_ends_when_it_is_withdrawn_or_its_days_are_over(): void
    {
        Queue::fake();
        $order = Order::query()->firstOrFail();
        foreach ([0, 366, 'soon', null] as $days) {
            $this->api('lead', 'POST', "orders/$order->id/links", ['days' => $days], 422);
        }
        $made = $this->api('lead', 'POST', "orders/$order->id/links", ['days' => 2], 201);
        $address = 'for-you/'.basename($made->json('path'));
        $this->api(null, 'GET', $address, null, 200);
        $this->travel(3)->days();
        $this->api(null, 'GET', $address, null, 404);
        $this->travelBack();
        $this->api('lead', 'DELETE', "shares/{$made->json('id')}", null, 204);
        $this->api(null, 'GET', $address, null, 404);
        self::assertSame(1, ShareLink::query()->whereNotNull('withdrawn_at')->count());
    }
}
