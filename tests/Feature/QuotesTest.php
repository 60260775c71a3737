<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\AmendmentRow;
use App\Models\Order;
use App\Models\Paint;
use App\Models\Question;
use App\Models\QuoteRow;
use App\Models\Receiving;
use App\Models\Studio;
use App\Models\Unit;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;

/** Quotes in versions, and the page on which a client says yes to one. */
final class QuotesTest extends StudioTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
    }

    /** The sums are worked out by hand in QuoteTest; here they arrive on the screen, on paper and behind the link. */
    public function test_the_worked_example_is_the_same_to_the_cent_on_screen_on_paper_and_behind_the_link(): void
    {
        Studio::row()->update(['tax_rate' => '19', 'tax_included' => false]);
        [$order, $wardens, $hero] = $this->order();
        $this->typed($order, [
            'extras' => [
                $this->extra('x1', $wardens, 'Rust on the hooks', 11, '1,50'),
                $this->extra('x2', $hero, 'The lantern lights the sleeve', 1, '14.35'),
            ],
            'lines' => [['id' => 'l1', 'kind' => 'kit', 'words' => 'Decals', 'amount' => '12.4', 'tax' => '19']],
            'discount' => ['percent' => '5', 'amount' => null, 'reason' => 'For the whole army'],
        ]);
        $payments = [
            ['when' => 'on_acceptance', 'percent' => 30],
            ['when' => 'before_sending', 'percent' => 70],
        ];
        $this->api('desk', 'PUT', "orders/$order->id/payments", [
            'revision' => $order->refresh()->revision, 'payments' => $payments,
        ], 200);
        $shown = $this->quote($order);
        self::assertSame('596.80', $shown['sums_with_all']['price']);
        self::assertSame('682.71', $shown['sums_with_all']['ceiling']);
        $sent = $this->sent($order);
        self::assertSame('quoted', $sent['order']['status']);
        $secret = $this->page($order);
        $page = $this->api(null, 'GET', "for-you/$secret?ticks=x1,x2", null, 200)->json('quote');
        self::assertSame(['596.80', '682.71', '25.74'], [
            $page['sums']['price'], $page['sums']['ceiling'], $page['sums']['discount'],
        ]);
        self::assertSame([['rate' => '19', 'price' => '95.29', 'ceiling' => '109.00']], $page['sums']['taxes']);
        self::assertSame(['179.04', '417.76'], array_column($page['payments'], 'sum'));
        $this->yes($secret, 1, ['x1', 'x2']);
        $paper = $this->text($this->get("/api/v1/for-you/$secret/paper")->assertOk()->getContent());
        foreach (['€596.80', '€682.71', '€179.04', '€417.76', '€95.29', '−€25.74'] as $amount) {
            self::assertStringContainsString($amount, $paper);
        }
        $life = $this->api('lead', 'GET', "orders/$order->id", null, 200)->json('life');
        self::assertSame('596.80', $life['total']);
        self::assertSame(['179.04', '417.76'], array_column($life['payments'], 'sum'));
    }

    public function test_what_is_sold_below_its_cost_is_said_and_the_desk_sees_no_cost(): void
    {
        [$order] = $this->order();
        Studio::row()->update(['hourly_rate' => '60.00', 'overhead' => '10']);
        $lead = $this->quote($order);
        self::assertSame([true, true], array_column($lead['units'], 'below_cost'));
        self::assertGreaterThan((float) $lead['units'][0]['price'], (float) $lead['units'][0]['cost']['cost']);
        $desk = $this->api('desk', 'GET', "orders/$order->id/quote", null, 200)->json();
        self::assertSame([null, null], array_column($desk['units'], 'cost'));
        self::assertSame([true, true], array_column($desk['units'], 'below_cost'));
        $order->update(['scheme_id' => $this->unit('26-036')->order->scheme_id]);
        $before = $this->quote($order)['units'][0]['cost']['cost'];
        // A pot has a price: what is used of it is counted.
        Paint::query()->update(['price' => '40.00', 'pot_ml' => 10]);
        $this->afresh();
        $with = $this->quote($order)['units'][0]['cost']['cost'];
        self::assertGreaterThan((float) $before, (float) $with);
        $costs = $this->api('lead', 'GET', 'sculpts/mudlark/costs', null, 200)->json('data');
        self::assertSame(['muster', 'company', 'banner', 'cabinet', 'centrepiece'], array_column($costs, 'tier'));
        self::assertNotNull($costs[0]['cost']);
        $blind = $this->api('desk', 'GET', 'sculpts/mudlark/costs', null, 200)->json('data');
        self::assertSame([null], array_values(array_unique(array_column($blind, 'cost'))));
        self::assertSame([null], array_values(array_unique(array_column($blind, 'marked_up'))));
    }

    public function test_a_price_lies_on_the_card_and_where_the_card_is_open_both_ends_are_typed(): void
    {
        [$order, $wardens] = $this->order();
        foreach (['21.99', '30.01'] as $beside) {
            $refused = $this->unitTo($wardens, ['price' => $beside], 422);
            self::assertStringContainsString('The card has 22.00 to 30.00', (string) $refused->json('errors.0.detail'));
        }
        $this->unitTo($wardens, ['price' => '24,50'], 200);
        self::assertSame(['24.50', '30.00'], [
            $this->quote($order)['units'][0]['price'], $this->quote($order)['units'][0]['ceiling'],
        ]);
        $wardens->refresh()->update(['tier' => 'exhibition', 'price' => null]);
        $open = $this->quote($order);
        self::assertStringContainsString('has no price, or nobody said the most', $open['faults'][0]);
        $this->api('lead', 'POST', "orders/$order->id/quotes", ['revision' => $order->refresh()->revision], 409);
        $this->unitTo($wardens->refresh(), ['price' => '640', 'ceiling' => '700'], 200);
        self::assertSame([], $this->quote($order)['faults']);
    }

    public function test_what_does_not_add_up_does_not_go_out(): void
    {
        [$order, $wardens] = $this->order();
        // Ceilings leave 12 × 4.00 and 28.00: 76.00.
        $moves = fn (string $amount): array => [
            'contingencies' => [
                ['id' => 'c1', 'unit' => $wardens->id, 'words' => 'Castings that need work', 'amount' => '60.00'],
                ['id' => 'c2', 'unit' => null, 'words' => 'Badges by hand', 'amount' => $amount],
            ],
        ];
        $this->typed($order, $moves('16.01'));
        self::assertSame('76.00', $this->quote($order)['room']);
        self::assertStringContainsString('more than the ceilings leave', $this->quote($order)['faults'][0]);
        $this->api('lead', 'POST', "orders/$order->id/quotes", ['revision' => $order->refresh()->revision], 409);
        $this->typed($order, $moves('16.00') + [
            'discount' => ['percent' => null, 'amount' => '600', 'reason' => 'Too kind'],
        ]);
        self::assertStringContainsString('more than what it comes off', $this->quote($order)['faults'][0]);
        $this->typed($order, $moves('16.00'));
        self::assertSame([], $this->quote($order)['faults']);
        $past = ['revision' => $order->refresh()->revision, 'until' => self::today()->subDay()->format('Y-m-d')];
        $this->api('lead', 'POST', "orders/$order->id/quotes", $past, 422);
        foreach ([
            ['discount' => ['percent' => '5', 'amount' => '3.00', 'reason' => 'both']],
            ['discount' => ['percent' => '5', 'amount' => null, 'reason' => '']],
            ['lines' => [['id' => 'l', 'kind' => 'unit', 'words' => 'w', 'amount' => '1', 'tax' => null]]],
            ['lines' => [['id' => 'l', 'kind' => 'other', 'words' => 'w', 'amount' => '1.234', 'tax' => null]]],
            ['extras' => [$this->extra('x', Unit::query()->where('order_id', '!=', $order->id)->firstOrFail(), 'w', 1, '1')]],
            ['extras' => [$this->extra('x', $wardens, 'w', 1, '1'), $this->extra('x', $wardens, 'w', 1, '1')]],
        ] as $wrong) {
            $body = $wrong + $this->nothing($order->refresh()->revision);
            $this->api('lead', 'PUT', "orders/$order->id/quote", $body, 422);
        }
    }

    public function test_a_version_stays_as_it_went_out_and_the_next_says_what_is_otherwise(): void
    {
        [$order, $wardens] = $this->order();
        $this->sent($order);
        $first = QuoteRow::query()->where('order_id', $order->id)->firstOrFail();
        foreach ([['body' => '{}'], ['number' => 7], ['valid_until' => '2030-01-01']] as $change) {
            try {
                DB::table('quotes')->where('id', $first->id)->update($change);
                self::fail('A quote that went out was changed.');
            } catch (QueryException $e) {
                self::assertStringContainsString('stays as it was', $e->getMessage());
            }
        }
        $this->unitTo($wardens, ['count' => 10], 200);
        $this->sent($order);
        $versions = $this->quote($order)['versions'];
        self::assertSame([[2, 'open'], [1, 'replaced']], array_map(
            fn (array $v) => [$v['number'], $v['state']],
            $versions,
        ));
        self::assertSame(['12 × Sluice Warden', 10], [
            "{$versions[1]['units'][0]['count']} × {$versions[1]['units'][0]['figure']}",
            $versions[0]['units'][0]['count'],
        ]);
        self::assertSame('Sluice Warden: 10 instead of 12', $versions[0]['changes'][0]['words']);
        $secret = $this->page($order);
        $refused = $this->say($secret, 1, true, [], 409);
        self::assertStringContainsString('newer version', (string) $refused->json('errors.0.detail'));
        self::assertSame('quoted', $order->refresh()->status->value);
    }

    public function test_a_client_ticks_asks_sees_another_tier_and_accepts_and_pressed_twice_does_it_once(): void
    {
        [$order, $wardens, $hero] = $this->order();
        $extras = $this->api('lead', 'GET', "units/$wardens->id/extras", null, 200)->json('data');
        self::assertNotSame([], $extras);
        self::assertSame('Banner', $extras[0]['tier']);
        $chosen = [
            ['amendment' => $extras[0]['amendment']] + $this->extra('x1', $wardens, 'Brighter edges', 12, '2.00'),
            $this->extra('x2', $hero, 'A name on the base', 1, '6.00'),
        ];
        $this->typed($order, ['extras' => $chosen]);
        $this->sent($order);
        $secret = $this->page($order);
        $of = fn (string $ticks): string => $this->api(null, 'GET', "for-you/$secret?ticks=$ticks", null, 200)
            ->json('quote.sums.price');
        self::assertSame(['484.00', '508.00', '514.00'], [$of(''), $of('x1'), $of('x1,x2')]);
        self::assertSame('484.00', $of('nothing,of,the,kind'));

        $asks = ['name' => 'Ada Fen', 'text' => 'May I bring my own decals?', 'unit' => $wardens->id];
        $this->api(null, 'POST', "for-you/$secret/questions", $asks, 201);
        $this->api(null, 'POST', "for-you/$secret/questions", $asks, 201);
        self::assertSame(1, Question::query()->where('order_id', $order->id)->count(), 'pressed twice');
        $tiers = $this->api(null, 'GET', "for-you/$secret/units/$wardens->id/tiers", null, 200)->json();
        self::assertSame([null, '50.00', '58.00'], [
            $tiers['tiers'][2]['minutes'] ?? null, $tiers['tiers'][2]['price'], $tiers['tiers'][2]['ceiling'],
        ]);
        self::assertNotSame([], $tiers['crops']);
        $wish = ['name' => 'Ada Fen', 'unit' => $wardens->id, 'tier' => 'banner'];
        $this->api(null, 'POST', "for-you/$secret/questions", $wish, 201);
        $this->api(null, 'POST', "for-you/$secret/questions", ['tier' => 'velvet'] + $wish, 422);
        $questions = $this->api('lead', 'GET', "orders/$order->id", null, 200)->json('life.questions');
        self::assertSame('I would have this at Banner.', $questions[1]['text']);
        self::assertSame(['Ada Fen', ['tier' => 'banner']], [$questions[1]['from_client'], $questions[1]['wish']]);

        $minor = ['version' => 1, 'yes' => true, 'name' => 'Ada Fen', 'ticks' => ['x1'], 'of_age' => false];
        $this->api(null, 'POST', "for-you/$secret/answer", $minor, 422);
        $this->say($secret, 1, true, ['x9'], 422);
        for ($pressed = 0; $pressed < 3; $pressed++) {
            $this->yes($secret, 1, ['x1']);
        }
        self::assertSame('accepted', $order->refresh()->status->value);
        self::assertSame(1, $order->moves()->where('to_status', 'accepted')->count());
        // What was ticked is an amendment of its unit, without a price of its own; the other extra fell away.
        self::assertSame(1, AmendmentRow::query()->where('unit_id', $wardens->id)->count());
        self::assertSame(['x1'], array_column($order->quote['extras'] ?? [], 'id'));
        self::assertSame(['26.00', '172.00'], [
            $wardens->refresh()->agreed_price, $hero->refresh()->agreed_price,
        ]);
        self::assertSame('508.00', $this->quote($order)['agreed']);
        $this->say($secret, 1, true, ['x1', 'x2'], 409);
        $this->say($secret, 1, false, [], 409);
    }

    public function test_a_quote_runs_out_is_renewed_and_refused_and_by_hand_it_is_the_same(): void
    {
        [$order] = $this->order();
        $this->sent($order, self::today()->addDays(3)->format('Y-m-d'));
        $secret = $this->page($order);
        $this->later(5);
        $page = $this->api(null, 'GET', "for-you/$secret", null, 200)->json('quote');
        self::assertSame([true, 'open'], [$page['run_out'], $page['state']]);
        self::assertStringContainsString('run out', (string) $this->say($secret, 1, true, [], 409)->json('errors.0.detail'));
        self::assertSame('quoted', $order->refresh()->status->value);
        $this->sent($order);
        $this->say($secret, 2, false, [], 200);
        $this->say($secret, 2, false, [], 200);
        self::assertSame('draft', $order->refresh()->status->value);
        self::assertSame('Too much for now', $this->quote($order)['versions'][0]['reason']);
        $this->sent($order);
        $this->api('desk', 'POST', "orders/$order->id/moves", [
            'revision' => $order->refresh()->revision, 'to' => 'accepted', 'who' => 'Ada Fen', 'how' => 'by telephone',
        ], 200);
        $accepted = $this->quote($order)['versions'][0];
        self::assertSame([3, 'accepted', 'Ada Fen'], [
            $accepted['number'], $accepted['state'], $accepted['answered_by'],
        ]);
        Carbon::setTestNow();
    }

    public function test_after_acceptance_a_new_version_holds_only_once_it_is_accepted(): void
    {
        [$order, $wardens, $hero] = $this->order();
        $this->sent($order);
        $secret = $this->page($order);
        $this->yes($secret, 1, []);
        $this->api('lead', 'POST', "units/$hero->id/release", [
            'revision' => $hero->refresh()->revision, 'despite' => 'The rest comes later.',
        ], 200);
        self::assertSame('in_work', $order->refresh()->status->value);
        $this->unitTo($wardens->refresh(), ['count' => 14], 200);
        $this->sent($order);
        self::assertSame('in_work', $order->refresh()->status->value, 'a version moves it no more');
        $page = $this->api(null, 'GET', "for-you/$secret", null, 200)->json('quote');
        self::assertSame(['484.00', '536.00', 2], [$page['agreed'], $page['sums']['price'], $page['number']]);
        $this->say($secret, 2, false, [], 200);
        self::assertSame(['in_work', '484.00'], [
            $order->refresh()->status->value, $this->quote($order)['agreed'],
        ]);
        $this->sent($order);
        $this->yes($secret, 3, []);
        self::assertSame('536.00', $this->quote($order)['agreed']);
    }

    public function test_what_moved_the_price_is_settled_once_after_receiving_and_never_above_the_ceiling(): void
    {
        [$order, $wardens] = $this->order();
        $this->typed($order, ['contingencies' => [
            ['id' => 'c1', 'unit' => $wardens->id, 'words' => 'Castings that need work', 'amount' => '48'],
            ['id' => 'c2', 'unit' => null, 'words' => 'An arm to be rebuilt', 'amount' => '20'],
        ]]);
        $this->sent($order);
        $this->yes($this->page($order), 1, []);
        $settle = fn (array $came, int $status) => $this->api(
            'lead',
            'PUT',
            "orders/$order->id/quotes/1/came-true",
            ['revision' => $order->refresh()->revision, 'came_true' => $came],
            $status,
        );
        self::assertStringContainsString('Receive the models', (string) $settle(['c1'], 409)->json('detail'));
        foreach ($order->units as $unit) {
            Receiving::query()->create([
                'unit_id' => $unit->id, 'count' => 1, 'built' => true, 'missing' => [], 'at' => now(),
                'user_id' => $this->person('lead')->id,
            ]);
        }
        $settle(['c9'], 422);
        $settle(['c1', 'c2'], 200);
        $settle([], 409);
        self::assertSame('552.00', $this->quote($order)['agreed']);
        $sums = $this->quote($order)['versions'][0]['sums'];
        self::assertLessThanOrEqual((float) '560.00', (float) $sums['price']);
        $other = ['revision' => $order->refresh()->revision, 'amount' => '540'];
        $this->api('desk', 'PUT', "orders/$order->id/agreed", $other + ['reason' => ''], 422);
        $this->api('desk', 'PUT', "orders/$order->id/agreed", $other + ['reason' => 'A model came late.'], 200);
        self::assertSame('540.00', $this->quote($order)['agreed']);
    }

    public function test_a_studio_with_prices_that_stand_shows_no_ceiling_and_nothing_that_moves_it(): void
    {
        Studio::row()->update(['quote_end' => 'fixed']);
        [$order, $wardens] = $this->order();
        $this->typed($order, ['contingencies' => [
            ['id' => 'c1', 'unit' => $wardens->id, 'words' => 'Castings', 'amount' => '40'],
        ]]);
        $this->sent($order);
        $page = $this->api(null, 'GET', 'for-you/'.$this->page($order), null, 200)->json('quote');
        self::assertSame([true, '484.00', '484.00', []], [
            $page['is_fixed'], $page['sums']['price'], $page['sums']['ceiling'], $page['contingencies'],
        ]);
    }

    public function test_a_budget_moves_the_units_to_the_highest_tiers_that_fit_all_or_none(): void
    {
        [$order] = $this->order();
        $fit = $this->api('desk', 'GET', "orders/$order->id/budget?amount=900", null, 200)->json();
        // All at Banner are at most 696.00 and 92.80; with what is left the hero is raised: 200.00 at Cabinet.
        self::assertSame([['Banner', true], ['Cabinet', false]], array_map(
            fn (array $u) => [$u['tier_name'], $u['moves']],
            $fit['units'],
        ));
        self::assertSame('896.00', $fit['ceiling']);
        $this->api('desk', 'GET', "orders/$order->id/budget?amount=20", null, 409);
        $richer = $this->api('lead', 'GET', "orders/$order->id/budget?amount=1300", null, 200)->json();
        self::assertSame(['Banner', 'Centrepiece'], array_column($richer['units'], 'tier_name'));
        $this->api('lead', 'PUT', "orders/$order->id/budget", [
            'revision' => $order->refresh()->revision, 'amount' => '1300',
        ], 200);
        self::assertSame(['banner', 'centrepiece'], $order->refresh()->units->pluck('tier')->all());
    }

    public function test_an_army_is_continued_in_its_colours_by_its_standard_and_at_its_prices_until_a_day(): void
    {
        [$order, $wardens] = $this->order();
        $this->unitTo($wardens, ['price' => '24.00'], 200);
        $this->sent($order);
        $this->yes($this->page($order), 1, []);
        $until = self::today()->addDays(60)->format('Y-m-d');
        $id = $this->api('desk', 'POST', "orders/$order->id/continued", ['until' => $until], 201)->json('id');
        $next = Order::query()->findOrFail($id);
        self::assertSame(
            [$order->client_id, $order->standard_version_id, $order->scheme_id],
            [$next->client_id, $next->standard_version_id, $next->scheme_id],
        );
        $unit = ['sculpt' => 'sluice-warden', 'tier' => 'company', 'count' => 5];
        $this->api('desk', 'POST', "orders/$id/units", $unit, 201);
        self::assertSame('24.00', $this->quote($next)['units'][0]['price']);
        $this->later(61);
        self::assertSame('26.00', $this->quote($next)['units'][0]['price']);
        Carbon::setTestNow();
    }

    public function test_words_to_the_client_are_prepared_and_sent_by_nobody_but_who_reads_them(): void
    {
        [$order] = $this->order();
        Mail::fake();
        $letters = fn (): array => $this->api('desk', 'GET', "orders/$order->id/letter", null, 200)->json();
        self::assertSame([], $letters()['data']);
        $this->sent($order);
        self::assertSame(['The quote'], array_column($letters()['data'], 'about'));
        self::assertStringContainsString('about €484.00, at most €560.00', $letters()['data'][0]['text']);
        $this->later(8);
        self::assertSame(['The quote', 'A reminder of the quote'], array_column($letters()['data'], 'about'));
        Carbon::setTestNow();
        Mail::assertNothingSent();
        $letter = ['to' => 'ada@fen.example', 'subject' => 'Your quote', 'text' => 'Dear Ada'];
        config(['mail.default' => 'log']);
        $this->api('desk', 'POST', "orders/$order->id/letter", $letter, 409);
        config(['mail.default' => 'smtp']);
        $this->api('desk', 'POST', "orders/$order->id/letter", ['to' => 'nobody'] + $letter, 422);
        $this->api('desk', 'POST', "orders/$order->id/letter", $letter, 204);
        self::assertStringNotContainsString('fen.example', (string) DB::table('activities')->get()->toJson());
    }

    /** @return array{Order, Unit, Unit} twelve Wardens at Company, 26.00 to 30.00, and a Provost at Cabinet, 172.00 to 200.00 */
    private function order(): array
    {
        $id = $this->api('desk', 'POST', 'orders', ['client' => 'Ada Fen', 'title' => 'The sluice watch'], 201)
            ->json('id');
        $lines = ['lines' => "12 Sluice Warden, Company\n1 Lantern Provost, Cabinet", 'keep' => true];
        $this->api('desk', 'POST', "orders/$id/lines", $lines, 200);
        $order = Order::query()->findOrFail($id);

        return [$order, ...$order->units->all()];
    }

    /** @return array<string, mixed> */
    private function quote(Order $order): array
    {
        return $this->api('lead', 'GET', "orders/$order->id/quote", null, 200)->json();
    }

    private function later(int $days): void
    {
        Carbon::setTestNow(now()->addDays($days));
        $this->flushSession();
        $this->afresh();
    }

    /** As in a request of its own: what one has looked up is not kept for the next. */
    private function afresh(): void
    {
        $this->app->forgetScopedInstances();
        foreach ($this->app['router']->getRoutes() as $route) {
            $route->flushController();
        }
    }

    /** @param  array<string, mixed>  $parts */
    private function typed(Order $order, array $parts): void
    {
        $body = $parts + $this->nothing($order->refresh()->revision);
        $this->api('lead', 'PUT', "orders/$order->id/quote", $body, 200);
    }

    /** @return array<string, mixed> */
    private function nothing(int $revision): array
    {
        return ['revision' => $revision, 'extras' => [], 'lines' => [], 'discount' => null, 'contingencies' => []];
    }

    /** @return array<string, mixed> */
    private function extra(string $id, Unit $unit, string $words, int $count, string $price): array
    {
        return ['id' => $id, 'unit' => $unit->id, 'words' => $words, 'from' => null, 'count' => $count, 'price' => $price];
    }

    /** @return array<string, mixed> */
    private function sent(Order $order, ?string $until = null): array
    {
        $body = ['revision' => $order->refresh()->revision, 'until' => $until];

        return $this->api('lead', 'POST', "orders/$order->id/quotes", $body, 201)->json();
    }

    private function page(Order $order): string
    {
        return basename($this->api('desk', 'POST', "orders/$order->id/links", null, 201)->json('path'));
    }

    /** @param  list<string>  $ticks */
    private function yes(string $secret, int $version, array $ticks): void
    {
        $this->say($secret, $version, true, $ticks, 200);
    }

    /** @param  list<string>  $ticks */
    private function say(string $secret, int $version, bool $yes, array $ticks, int $status): \Illuminate\Testing\TestResponse
    {
        return $this->api(null, 'POST', "for-you/$secret/answer", [
            'version' => $version, 'yes' => $yes, 'name' => 'Ada Fen', 'ticks' => $ticks, 'of_age' => true,
            'reason' => $yes ? null : 'Too much for now',
        ], $status);
    }

    /** @param  array<string, mixed>  $change */
    private function unitTo(Unit $unit, array $change, int $status): \Illuminate\Testing\TestResponse
    {
        return $this->api('lead', 'PUT', "units/$unit->id", ['revision' => $unit->refresh()->revision] + $change, $status);
    }

    /** What a document says: the strings that it shows, which its font has two bytes a letter for. */
    private function text(string|false $pdf): string
    {
        self::assertStringStartsWith('%PDF', (string) $pdf);
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', (string) $pdf, $streams);
        $text = '';
        foreach ($streams[1] as $stream) {
            preg_match_all('/\(((?:\\\\.|[^()\\\\])*)\)/s', (string) @gzuncompress($stream), $strings);
            foreach ($strings[1] as $string) {
                $text .= mb_convert_encoding(stripcslashes($string), 'UTF-8', 'UTF-16BE');
            }
        }

        return $text;
    }
}
