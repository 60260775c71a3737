<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Orders\MoveOrder;
use App\Models\Order;
use App\Models\OrderMoveRow;
use App\Models\PaymentRow;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\StepLog;
use App\Models\Studio;
use App\Models\Unit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** An order from the first word to its end, and everything that may hold it up on its way. */
final class OrderLifeTest extends StudioTestCase
{
    public function test_an_enquiry_is_quoted_accepted_released_signed_sent_in_two_parcels_claimed_and_closed(): void
    {
        $order = $this->opened();
        self::assertSame('add_unit', $order['life']['act']);
        $id = $order['id'];
        $none = $this->move($id, ['to' => 'quoted'], 409);
        self::assertStringContainsString('no unit with models', (string) $none['detail']);

        $lines = "2 Mudlark, Muster, The flats\n\nmany Sluice Wardens\n3 Mud, must";
        $read = $this->api('desk', 'POST', "orders/$id/lines", ['lines' => $lines, 'keep' => false], 200)->json('lines');
        self::assertSame([1, 3, 4], array_column($read, 'number'));
        self::assertSame(['mudlark', null, 'mudlark'], array_column($read, 'figure'));
        self::assertStringContainsString('begin with a number', (string) $read[1]['wrong']);
        $refused = $this->api('desk', 'POST', "orders/$id/lines", ['lines' => $lines, 'keep' => true], 422);
        self::assertStringContainsString('Line 3', (string) $refused->json('errors.0.detail'));
        self::assertSame([], $this->seen($id)['units'], 'all of them, or none');
        $kept = ['lines' => '2 Mudlark, Muster, The flats', 'keep' => true];
        $this->api('desk', 'POST', "orders/$id/lines", $kept, 200);

        $quoted = $this->move($id, ['to' => 'quoted', 'until' => self::today()->addDays(14)->format('Y-m-d')]);
        self::assertSame(['quoted', 'accept'], [$quoted['status'], $quoted['life']['act']]);
        $this->move($id, ['to' => 'in_work'], 409);
        $accepted = $this->move($id, ['to' => 'accepted', 'who' => 'Ada Fen', 'how' => 'by telephone']);
        $stop = collect($accepted['life']['road'])->last();
        self::assertSame(['Accepted', 'by Ada Fen, by telephone'], [$stop['words'], $stop['note']]);
        self::assertSame($accepted['life']['total'], $stop['price']);
        self::assertNotNull($accepted['unit_plans'][0]['agreed_price']);
        self::assertSame("/units/{$accepted['units'][0]['id']}/plan", $accepted['life']['goes_to']);

        $unit = Unit::query()->where('order_id', $id)->firstOrFail();
        $despite = 'Its colours come later.';
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision, 'despite' => $despite], 200);
        self::assertSame(['in_work', 'work'], [$this->seen($id)['status'], $this->seen($id)['life']['act']]);
        [$first, $second] = Piece::query()->where('unit_id', $unit->id)->orderBy('number')->get()->all();
        $this->signed($first);
        self::assertSame('in_work', $this->seen($id)['status']);
        $this->send($id, [$first->id], 201);
        $this->send($id, [$second->id], 409);
        $this->signed($second);
        self::assertSame(['done', 'send'], [$this->seen($id)['status'], $this->seen($id)['life']['act']]);
        $gone = $this->send($id, [$second->id], 201);
        self::assertSame('delivered', $gone['status']);
        self::assertSame([[$first->id], [$second->id]], array_column($gone['life']['parcels'], 'pieces'));

        $claim = $this->move($id, ['to' => 'in_work', 'reason' => 'A hook came off.', 'pieces' => [$second->id]]);
        self::assertSame('in_work', $claim['status']);
        self::assertSame(['delivered', 'offered'], array_column($claim['units'][0]['pieces'], 'stage'));
        $this->move($id, ['to' => 'in_work', 'reason' => 'Again'], 409);
        $words = array_column($claim['life']['road'], 'words');
        self::assertSame(
            ['First word', 'Quoted', 'Accepted', 'On the bench', 'Finished', 'Delivered', 'Taken up again'],
            $words,
        );
    }

    public function test_a_withdrawn_sign_off_takes_the_order_up_again(): void
    {
        $unit = $this->unit('26-029');
        self::assertSame('done', $this->seen($unit->order_id)['status']);
        $number = SignOff::query()
            ->whereHas('pieces', fn ($q) => $q->whereKey($unit->pieces()->pluck('id')))
            ->value('number');
        $this->api('lead', 'POST', "sign-offs/$number/withdrawal", ['reason' => 'A seam was missed.'], 201);
        self::assertSame('in_work', $this->seen($unit->order_id)['status']);
        $last = OrderMoveRow::query()->where('order_id', $unit->order_id)->orderByDesc('id')->firstOrFail();
        self::assertSame('itself', $last->mover->value);
    }

    public function test_a_payment_that_is_due_holds_the_bench_and_the_post_unless_the_lead_has_a_reason(): void
    {
        $id = $this->accepted();
        $plan = fn (array $payments, int $status = 200) => $this->api(
            'desk',
            'PUT',
            "orders/$id/payments",
            ['revision' => $this->revision($id), 'payments' => $payments],
            $status,
        );
        self::assertSame('/payments/0', $plan([['when' => 'on_day', 'percent' => 50]], 422)->json('errors.0.pointer'));
        $plan([['when' => 'before_bench', 'percent' => 60], ['when' => 'before_sending', 'percent' => 60]], 422);
        $plan([['when' => 'before_bench', 'percent' => 60, 'amount' => '4']], 422);
        $half = ['when' => 'before_bench', 'percent' => 50];
        $made = $plan([$half, ['when' => 'before_sending', 'amount' => '3,5']])->json('life');
        self::assertSame('note_payment', $made['act']);
        $sum = array_sum(array_map(fn (array $p) => (int) round(100 * (float) $p['sum']), $made['payments']));
        self::assertSame((int) round(100 * (float) $made['total']), $sum);

        $unit = Unit::query()->where('order_id', $id)->firstOrFail();
        $held = $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 409);
        self::assertStringContainsString('payment', implode(' ', $held->json('current.missing')));
        $note = fn (int $payment, ?string $on) => $this->api(
            'desk',
            'PUT',
            "orders/$id/payments/$payment",
            ['revision' => $this->revision($id), 'on' => $on, 'way' => 'bank transfer'],
            200,
        );
        $day = self::today()->format('Y-m-d');
        self::assertSame($day, $note($made['payments'][0]['id'], $day)->json('life.payments.0.noted_on'));
        $plan([], 409);
        $despite = ['revision' => $unit->revision, 'despite' => 'Its colours come later.'];
        $this->api('lead', 'POST', "units/$unit->id/release", $despite, 200);
        foreach (Piece::query()->where('unit_id', $unit->id)->get() as $piece) {
            $this->signed($piece);
        }
        $pieces = Piece::query()->where('unit_id', $unit->id)->pluck('id')->all();
        $this->send($id, $pieces, 409);
        $this->send($id, $pieces, 409, 'desk', 'They will pay.');
        $this->send($id, $pieces, 201, 'lead', 'An old client; the bill follows.');
        self::assertSame('note_payment', $this->seen($id)['life']['act']);
        $this->move($id, ['to' => 'closed'], 409);
        $closed = $this->move($id, ['to' => 'closed', 'reason' => 'A gift, after all.']);
        self::assertSame('closed', $closed['status']);
        self::assertNull($closed['life']['act']);
    }

    public function test_a_question_or_models_that_are_not_here_hold_their_unit_up_and_nothing_else(): void
    {
        $id = $this->accepted();
        $this->api('desk', 'POST', "orders/$id/lines", ['lines' => '1 Sluice Warden, Company', 'keep' => true], 200);
        [$one, $other] = Unit::query()->where('order_id', $id)->orderBy('id')->get()->all();
        $ask = ['text' => 'Boots brown or black?', 'unit' => $one->id, 'blocks' => true];
        $asked = $this->api('desk', 'POST', "orders/$id/questions", $ask, 201)->json('life');
        self::assertSame(['answer', false], [$asked['act'], $asked['questions'][0]['amended']]);
        $elsewhere = ['unit' => $this->unit('26-041')->id] + $ask;
        $this->api('desk', 'POST', "orders/$id/questions", $elsewhere, 422);
        $release = fn (Unit $u, int $status) => $this->api(
            'lead',
            'POST',
            "units/$u->id/release",
            ['revision' => $u->fresh()?->revision, 'despite' => 'Its colours come later.'],
            $status,
        );
        self::assertStringContainsString('question', (string) $release($one, 409)->json('errors.0.detail'));
        $release($other, 200);
        $question = $asked['questions'][0]['id'];
        $answer = [
            'answer' => 'Black, and with a light on the toes.',
            'by' => 'Ada Fen',
            'amendment' => [
                'level' => 'unit',
                'do' => 'add',
                'clause' => null,
                'technique' => 'layer',
                'scope' => (object) ['area' => ['boots']],
                'values' => (object) ['passes' => 1],
                'reason' => 'A light on the toes.',
                'price' => '0.50',
                'on' => null,
            ],
        ];
        $this->api('desk', 'PUT', "questions/$question", $answer, 403);
        $answered = $this->api('lead', 'PUT', "questions/$question", $answer, 200)->json('life.questions.0');
        self::assertSame([true, 'Ada Fen'], [$answered['amended'], $answered['answered_by']]);
        $this->api('lead', 'PUT', "questions/$question", $answer, 409);
        $release($one, 200);

        Studio::row()->update(['wants_received' => true]);
        $this->api('desk', 'POST', "orders/$id/lines", ['lines' => '1 Bell Diver, Banner', 'keep' => true], 200);
        $late = Unit::query()->where('order_id', $id)->orderByDesc('id')->firstOrFail();
        self::assertSame('receive', $this->seen($id)['life']['act']);
        self::assertStringContainsString('not been received', (string) $release($late, 409)->json('errors.0.detail'));
        $found = ['revision' => 0, 'count' => 1, 'built' => false, 'missing' => [['piece' => 1, 'part' => 'a bell']]];
        $received = $this->api('desk', 'PUT', "units/$late->id/receiving", $found, 200)->json('life.received');
        self::assertSame('a bell', collect($received)->firstWhere('unit', $late->id)['found']['missing'][0]['part']);
        $this->api('desk', 'PUT', "units/$late->id/receiving", $found, 409);
        $release($late, 200);
    }

    public function test_on_hold_nothing_is_released_or_begun_and_days_for_the_client_move_the_promise(): void
    {
        $unit = $this->unit('26-038');
        $id = $unit->order_id;
        $promised = $this->seen($id)['promised_on'];
        $why = ['reason' => 'The client travels.', 'for' => 'client'];
        $held = $this->api('desk', 'PUT', "orders/$id/hold", ['revision' => $this->revision($id)] + $why, 200);
        self::assertSame([true, 'resume'], [$held->json('on_hold'), $held->json('life.act')]);
        $this->api('desk', 'PUT', "orders/$id/hold", ['revision' => $this->revision($id)] + $why, 409);
        $first = fn (string $stage) => $unit->pieces()->where('stage', $stage)->firstOrFail();
        $step = $this->api('painter', 'GET', "bench/$unit->id", null, 200)->json('passes.0.steps.0');
        $mark = fn (Piece $p, int $status) => $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => [$p->id], 'steps' => [$step]],
            $status,
        );
        self::assertStringContainsString('travels', (string) $mark($first('planned'), 409)->json('detail'));
        $mark($first('on_bench'), 200);
        Order::query()->whereKey($id)->update(['held_at' => now()->subDays(5)]);
        $on = $this->api('desk', 'DELETE', "orders/$id/hold", ['revision' => $this->revision($id)], 200);
        self::assertSame(Carbon::parse($promised)->addDays(5)->format('Y-m-d'), $on->json('promised_on'));
        $mark($first('planned'), 200);
        $this->api('desk', 'DELETE', "orders/$id/hold", ['revision' => $this->revision($id)], 409);
    }

    public function test_who_cancels_what_stops_and_what_is_owed(): void
    {
        $unit = $this->unit('26-038');
        $id = $unit->order_id;
        self::assertSame([], array_filter(
            $this->api('desk', 'GET', "orders/$id", null, 200)->json('life.moves'),
            fn (array $m) => $m['to'] === 'cancelled',
        ));
        $this->api('desk', 'POST', "orders/$id/moves", [
            'revision' => $this->revision($id), 'to' => 'cancelled', 'reason' => 'No more.',
        ], 409);
        $this->api('lead', 'POST', "orders/$id/moves", ['revision' => $this->revision($id), 'to' => 'cancelled'], 409);
        $minutes = (float) DB::table('step_logs')
            ->whereIn('piece_id', $unit->pieces()->pluck('id'))
            ->whereNull('undone_by')
            ->sum(DB::raw('coalesce(minutes, planned_minutes)'));
        $owed = $this->api('lead', 'GET', "orders/$id/owed", null, 200);
        $cents = (int) floor($minutes * 100 * (float) Studio::row()->hourly_rate / 60 + 0.5);
        self::assertSame($cents, (int) round(100 * (float) $owed->json('total')));
        $gone = $this->api('lead', 'POST', "orders/$id/moves", [
            'revision' => $this->revision($id), 'to' => 'cancelled', 'reason' => 'No more.',
        ], 200);
        self::assertSame('cancelled', $gone->json('status'));
        $this->api('painter', 'GET', "orders/$id/owed", null, 403);
    }

    public function test_units_are_split_changed_in_number_and_taken_off_until_they_are_on_the_bench(): void
    {
        $id = $this->accepted('5 Mudlark, Muster');
        $unit = Unit::query()->where('order_id', $id)->firstOrFail();
        $edit = fn (array $facts, int $status = 200) => $this->api(
            'desk',
            'PUT',
            "units/$unit->id",
            ['revision' => $unit->fresh()?->revision] + $facts,
            $status,
        );
        self::assertCount(7, $edit(['count' => 7])->json('units.0.pieces'));
        self::assertCount(6, $edit(['count' => 6])->json('units.0.pieces'));
        self::assertSame('10.50', $edit(['price' => '10,5'])->json('unit_plans.0.set_price'));
        $edit(['price' => 'much'], 422);
        $edit(['price' => '12,5'], 422);
        $pieces = $unit->pieces()->pluck('id')->all();
        $split = fn (array $ids, int $status) => $this->api('desk', 'POST', "units/$unit->id/split", [
            'revision' => $unit->fresh()?->revision, 'pieces' => $ids, 'label' => 'The bearers',
        ], $status);
        $split($pieces, 422);
        $two = $split([$pieces[1], $pieces[4]], 201)->json('units');
        self::assertSame([[1, 2, 3, 4], [1, 2]], array_map(fn (array $u) => array_column($u['pieces'], 'number'), $two));
        self::assertSame('The bearers', $two[1]['label']);
        $gone = $this->api('desk', 'DELETE', "units/{$two[1]['id']}", ['revision' => $two[1]['revision']], 200);
        self::assertCount(1, $gone->json('units'));
        $released = $this->unit('26-038');
        $this->api('desk', 'DELETE', "units/$released->id", ['revision' => $released->revision], 409);
        $this->api('desk', 'PUT', "units/$released->id", ['revision' => $released->revision, 'count' => 20], 409);
    }

    public function test_two_people_at_once_move_an_order_once(): void
    {
        $id = $this->opened('2 Mudlark, Muster')['id'];
        $revision = $this->revision($id);
        $to = ['revision' => $revision, 'to' => 'quoted'];
        $this->api('desk', 'POST', "orders/$id/moves", $to, 200);
        $late = $this->api('lead', 'POST', "orders/$id/moves", $to, 409);
        self::assertSame($revision + 1, $late->json('current.revision'));
        self::assertSame(1, OrderMoveRow::query()->where('order_id', $id)->count());
    }

    public function test_a_quote_that_ran_out_is_not_accepted_and_the_setting_shuts_the_way_by_hand(): void
    {
        $id = $this->opened('2 Mudlark, Muster')['id'];
        $this->move($id, ['to' => 'quoted', 'until' => self::today()->format('Y-m-d')]);
        Carbon::setTestNow(now()->addDays(2));
        $this->flushSession();
        $this->app->forgetScopedInstances();
        $old = $this->move($id, ['to' => 'accepted', 'who' => 'Ada'], 409);
        self::assertStringContainsString('run out', (string) $old['detail']);
        Carbon::setTestNow();
        $this->flushSession();
        $this->app->forgetScopedInstances();
        self::assertSame('draft', $this->move($id, ['to' => 'draft', 'reason' => 'Too dear.'])['status']);
        $this->api('lead', 'PUT', 'studio', ['quotes' => 'always'], 200);
        $by = fn (string $who, int $status) => $this->api($who, 'POST', "orders/$id/moves", [
            'revision' => $this->revision($id), 'to' => 'accepted',
        ], $status);
        self::assertStringContainsString('quotes every order', (string) $by('lead', 409)->json('errors.0.detail'));
        $this->api('lead', 'PUT', 'studio', ['quotes' => 'never'], 200);
        $by('desk', 409);
        $by('lead', 200);
    }

    public function test_a_paid_order_is_closed_by_itself_after_the_days_for_claims(): void
    {
        $order = Order::query()->where('number', '26-021')->firstOrFail();
        $closed = function (): void {
            $this->app->forgetScopedInstances();
            app(MoveOrder::class)->closeByItself(40);
        };
        self::assertSame('delivered', $order->status->value);
        $closed();
        self::assertSame('delivered', $order->refresh()->status->value, 'its days run');
        $this->travel(10)->days();
        PaymentRow::query()->create(['order_id' => $order->id, 'place' => 1, 'due_when' => 'before_sending', 'percent' => 100]);
        $closed();
        self::assertSame('delivered', $order->refresh()->status->value, 'not paid');
        PaymentRow::query()->where('order_id', $order->id)->update(['noted_on' => self::today()]);
        $closed();
        self::assertSame('closed', $order->refresh()->status->value);
    }

    public function test_the_demo_has_an_order_in_every_state_and_each_got_there_by_moves(): void
    {
        $states = Order::query()->get()->map(fn (Order $o) => $o->status->value)->unique();
        self::assertCount(8, $states);
        foreach (Order::query()->with('moves')->get() as $order) {
            $at = 'draft';
            foreach ($order->moves as $move) {
                self::assertSame($at, $move->from_status->value, $order->number);
                $at = $move->to_status->value;
            }
            self::assertSame($order->status->value, $at, $order->number);
        }
    }

    /** @return array<string, mixed> */
    public function test_an_order_that_is_over_takes_no_unit(): void
    {
        $order = $this->opened();
        $id = $order['id'];
        $cancel = ['revision' => $order['revision'], 'to' => 'cancelled', 'reason' => 'They changed their mind.'];
        $this->api('lead', 'POST', "orders/$id/moves", $cancel, 200);
        $lines = ['lines' => '1 Mudlark, Muster', 'keep' => true];
        $said = $this->api('desk', 'POST', "orders/$id/lines", $lines, 409)->json('detail');
        self::assertStringContainsString('nothing is added to it', (string) $said);
        self::assertSame([], $this->seen($id)['units']);
    }

    public function test_a_running_order_comes_over_with_its_prices_payments_and_what_is_painted(): void
    {
        $order = $this->opened();
        $id = $order['id'];
        $lines = "3 Mudlark, Muster, The flats, 9.5\n1 Mudlark, Muster, 12";
        $this->api('desk', 'POST', "orders/$id/lines", ['lines' => $lines, 'keep' => true], 200);
        $unit = Unit::query()->where('order_id', $id)->orderBy('id')->firstOrFail();
        self::assertSame(['The flats', '9.50'], [$unit->label, $unit->price]);
        $seen = $this->seen($id);
        self::assertSame('40.50', $seen['life']['total']);
        $revision = ['revision' => $seen['revision']];
        $this->api('desk', 'PUT', "orders/$id", $revision + ['promised_on' => '2027-01-15'], 200);
        $accept = ['revision' => $seen['revision'] + 1, 'to' => 'accepted', 'who' => 'Ada Fen', 'reason' => 'by letter'];
        $this->api('lead', 'POST', "orders/$id/moves", $accept, 200);
        self::assertSame('2027-01-15', $this->seen($id)['promised_on']);
        $over = fn (array $more, int $status): array => (array) $this->api(
            'lead',
            'POST',
            "units/$unit->id/taken-over",
            ['revision' => $unit->fresh()?->revision, 'painter' => $this->person('odo')->id, ...$more],
            $status,
        )->json();
        $over(['passes' => 3], 409);
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision, 'despite' => 'Colours come later.'], 200);
        $over(['passes' => 0], 422);
        $over(['passes' => 2, 'painter' => 0], 422);
        $batch = $over(['passes' => 2], 200);
        $done = [...$batch['passes'][0]['steps'], ...$batch['passes'][1]['steps']];
        foreach ($batch['pieces'] as $piece) {
            self::assertEqualsCanonicalizing($done, $piece['done']);
        }
        $logs = StepLog::query()->whereIn('piece_id', $unit->pieces()->pluck('id'))->get();
        self::assertCount(3 * count($done), $logs);
        self::assertSame([true], $logs->pluck('taken_over')->map(fn (mixed $t) => (bool) $t)->unique()->values()->all());
        self::assertSame([null], $logs->pluck('minutes')->unique()->values()->all(), 'nobody clocked them here');
        self::assertSame([$this->person('odo')->id], $logs->pluck('user_id')->unique()->values()->all());
        $again = $over(['passes' => 3], 200);
        self::assertCount(3 * (count($done) + count($again['passes'][2]['steps'])), StepLog::query()
            ->whereIn('piece_id', $unit->pieces()->pluck('id'))->get(), 'what is there is not done twice');
        self::assertSame('in_work', $this->seen($id)['status']);
    }

    private function opened(?string $lines = null): array
    {
        $order = $this->api('desk', 'POST', 'orders', ['client' => 'Ada Fen', 'title' => 'A life'], 201)->json();
        if ($lines !== null) {
            $this->api('desk', 'POST', "orders/{$order['id']}/lines", ['lines' => $lines, 'keep' => true], 200);
        }

        return $order;
    }

    private function accepted(string $lines = '2 Mudlark, Muster'): int
    {
        $id = $this->opened($lines)['id'];
        $by = ['revision' => $this->revision($id), 'to' => 'accepted', 'who' => 'Ada Fen'];
        $this->api('lead', 'POST', "orders/$id/moves", $by, 200);

        return $id;
    }

    /**
     * @param  array<string, mixed>  $to
     * @return array<string, mixed>
     */
    private function move(int $id, array $to, int $status = 200): array
    {
        return $this->api('desk', 'POST', "orders/$id/moves", ['revision' => $this->revision($id)] + $to, $status)->json();
    }

    /** @return array<string, mixed> */
    private function seen(int $id): array
    {
        return $this->api('desk', 'GET', "orders/$id", null, 200)->json();
    }

    private function revision(int $id): int
    {
        return Order::query()->findOrFail($id)->revision;
    }

    /**
     * @param  list<int>  $pieces
     * @return array<string, mixed>
     */
    private function send(int $id, array $pieces, int $status, string $who = 'desk', string $reason = ''): array
    {
        return $this->api($who, 'POST', "orders/$id/parcels", [
            'direction' => 'out',
            'on_day' => self::today()->format('Y-m-d'),
            'way' => 'parcel post',
            'insured' => '60',
            'pieces' => $pieces,
            'reason' => $reason,
        ], $status)->json();
    }

    /** What bench and check do is tested elsewhere: here only that it was signed counts. */
    private function signed(Piece $piece): void
    {
        $piece->update(['stage' => 'passed']);
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201);
    }
}
