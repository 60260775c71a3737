<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Order;
use App\Models\Photograph;
use App\Models\ShareLink;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\FaultCatalogue;
use Illuminate\Support\Facades\Queue;
use Ordotype\Core\Standard\FaultKind;
use Tests\Support\Contract;

/** What a client sees of their order by a link: that, and nothing else. */
final class OrderLinkTest extends StudioTestCase
{
    public function test_a_link_shows_the_order_without_the_studios_people_or_its_work_and_nothing_else(): void
    {
        Queue::fake();
        $order = Order::query()->where('number', '26-033')->firstOrFail();
        $made = $this->api('desk', 'POST', "orders/$order->id/links", null, 201);
        self::assertMatchesRegularExpression('~^/for-you/[0-9a-f]{32}$~D', $made->json('path'));
        $secret = basename($made->json('path'));
        $shown = $this->api(null, 'GET', "for-you/$secret", null, 200);
        self::assertSame(['26-033', 'Gate wardens'], [$shown->json('number'), $shown->json('title')]);
        $unit = $shown->json('units.0');
        // Six models: one has passed, one was sent back, the others wait; none is signed off.
        self::assertSame(['Sluice Warden', 6, 0, 'Banner'], [
            $unit['figure'],
            $unit['count'],
            $unit['finished'],
            $unit['tier'],
        ]);
        self::assertContains('Everyone has eyes.', $unit['promised']);
        self::assertCount(2, $unit['drawn']);
        $this->api(null, 'GET', "drawn/{$unit['drawn']['front']}", null, 200)->assertJson(['state' => 'waiting']);
        $text = (string) $shown->getContent();
        foreach (['Ines', 'minutes', '"cost', 'mark_up', '"code"'] as $hidden) {
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

    public function test_the_page_of_an_order_is_one_address_for_its_life_made_anew_when_lost(): void
    {
        Queue::fake();
        $order = Order::query()->where('number', '26-033')->firstOrFail();
        $at = fn (): string => 'for-you/'.basename(
            $this->api('lead', 'POST', "orders/$order->id/links", null, 201)->json('path'),
        );
        $first = $at();
        $this->api(null, 'GET', $first, null, 200);
        $second = $at();
        $this->api(null, 'GET', $first, null, 404);
        $this->travel(900)->days();
        $this->api(null, 'GET', $second, null, 200);
        $this->travelBack();
        $link = $this->api('lead', 'GET', "orders/$order->id/links", null, 200)->json('data.0');
        $this->api('lead', 'DELETE', "shares/{$link['id']}", null, 204);
        $this->api(null, 'GET', $second, null, 404);
        self::assertSame(2, ShareLink::query()->whereNotNull('withdrawn_at')->count());
    }

    public function test_a_page_ends_with_the_days_for_claims(): void
    {
        Queue::fake();
        $order = Order::query()->where('number', '26-018')->firstOrFail();
        $made = $this->api('lead', 'POST', "orders/$order->id/links", null, 201);
        $left = $order->moves()->where('to_status', 'closed')->firstOrFail()->at;
        $this->travelTo($left->copy()->addDays(29));
        $this->api(null, 'GET', 'for-you/'.basename($made->json('path')), null, 200);
        $this->travelTo($left->copy()->addDays(31));
        $this->api(null, 'GET', 'for-you/'.basename($made->json('path')), null, 404);
        $this->travelBack();
    }

    /** Every answer of every order's page, key by key: what a client is never shown. */
    public function test_no_page_of_the_demo_holds_minutes_cost_people_faults_or_another_order(): void
    {
        Queue::fake();
        $people = array_merge(...User::query()->pluck('name')->map(fn (string $n) => [$n, strtok($n, ' ')])->all());
        $faults = array_map(
            fn (FaultKind $k) => $k->name,
            app(FaultCatalogue::class)->table()->kinds,
        );
        self::assertNotSame([], $faults);
        foreach (Order::query()->with('units')->get() as $order) {
            $made = $this->api('lead', 'POST', "orders/$order->id/links", null, 201)->json('path');
            $address = 'for-you/'.basename($made);
            $answers = [$this->api(null, 'GET', $address, null)];
            if ($answers[0]->status() === 404) {
                continue;
            }
            foreach ($order->units as $unit) {
                $answers[] = $this->api(null, 'GET', "$address/units/$unit->id/tiers", null, 200);
            }
            $others = Order::query()->whereKeyNot($order->id)->get();
            foreach ($answers as $answer) {
                $read = $answer->json();
                foreach (self::keys($read) as $key) {
                    self::assertDoesNotMatchRegularExpression(
                        '/minute|cost|mark_up|margin|painter|fault|stage|code|client$|made_by|user|amendment|handle/',
                        $key,
                    );
                }
                $values = implode("\n", self::values($read));
                foreach ([...$people, ...$faults, ...$others->pluck('number'), ...$others->pluck('client')] as $never) {
                    // What the client says of themselves is theirs.
                    if ($never !== $order->client) {
                        self::assertDoesNotMatchRegularExpression('/\b'.preg_quote((string) $never, '/').'\b/u', $values);
                    }
                }
            }
        }
    }

    /** The secret of a page opens that page: sent to every other operation there is, it opens nothing. */
    public function test_the_secret_of_a_page_opens_nothing_else(): void
    {
        Queue::fake();
        $order = Order::query()->where('number', '26-036')->firstOrFail();
        $secret = basename($this->api('lead', 'POST', "orders/$order->id/links", null, 201)->json('path'));
        $other = Unit::query()->where('order_id', '!=', $order->id)->firstOrFail();
        $this->api(null, 'GET', "for-you/$secret/units/$other->id/tiers", null, 404);
        $kept = Photograph::query()->whereHas('piece.unit', fn ($q) => $q->where('order_id', '!=', $order->id))->get();
        foreach ($kept->pluck('sha256')->unique() as $sha) {
            $this->get("/api/v1/for-you/$secret/pictures/$sha")->assertNotFound();
        }
        $tried = 0;
        foreach (Contract::operations() as [$method, $path]) {
            if (str_starts_with($path, '/for-you/') || in_array($path, ['/session', '/vocabulary'], true)) {
                continue;
            }
            $at = (string) preg_replace('/\{[a-z]+\}/', $secret, $path);
            $this->app['auth']->forgetGuards();
            $status = $this->json($method, "/api/v1$at")->getStatusCode();
            self::assertContains($status, [400, 401, 404, 405, 409, 410, 419, 422, 429], "$method $path");
            $number = (string) preg_replace('/\{[a-z]+\}/', '1', $path);
            $bearer = ['Authorization' => "Bearer $secret"];
            self::assertNotSame(200, $this->json($method, "/api/v1$number", [], $bearer)->getStatusCode(), "$method $path");
            $tried++;
        }
        self::assertGreaterThan(150, $tried);
    }

    /**
     * @param  array<array-key, mixed>  $read
     * @return list<string>
     */
    private static function keys(array $read): array
    {
        $keys = [];
        foreach ($read as $key => $value) {
            $keys = [...$keys, ...is_string($key) ? [$key] : [], ...is_array($value) ? self::keys($value) : []];
        }

        return array_values(array_unique($keys));
    }

    /**
     * @param  array<array-key, mixed>  $read
     * @return list<string>
     */
    private static function values(array $read): array
    {
        $values = [];
        array_walk_recursive($read, function (mixed $value) use (&$values): void {
            $values[] = is_scalar($value) ? (string) $value : '';
        });

        return $values;
    }
}
