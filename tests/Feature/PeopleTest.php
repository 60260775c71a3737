<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Invitation;
use App\Models\Order;
use App\Models\Studio;
use App\Models\User;
use App\Studio\Today;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** People of the studio: invited, let in by a link, changed, set aside; and what each may do to their own account. */
final class PeopleTest extends StudioTestCase
{
    private const MINA = [
        'name' => 'Mina Holt',
        'email' => 'mina@heron-lane.example',
        'role' => 'painter',
        'may_sign' => true,
        'skill' => 3,
        'hours_week' => 24.5,
        'largest_batch' => 12,
    ];

    public function test_somebody_is_invited_sets_a_password_by_the_link_and_works_here(): void
    {
        $made = $this->api('lead', 'POST', 'people', self::MINA, 201);
        self::assertSame(self::MINA, array_intersect_key($made->json('person'), self::MINA));
        self::assertFalse($made->json('person.joined'));
        $secret = basename($made->json('link'));
        self::assertMatchesRegularExpression('/^[0-9a-f]{32}$/', $secret, '128 bits');
        self::assertSame(0, DB::table('invitations')->where('hash', $secret)->count(), 'only its hash is kept');
        self::assertStringNotContainsString($secret, (string) json_encode(DB::table('activities')->get()));

        $whose = $this->api(null, 'GET', "invitations/$secret", null, 200);
        self::assertSame(['Mina Holt', true], [$whose->json('name'), $whose->json('first')]);
        $short = $this->api(null, 'POST', "invitations/$secret", ['password' => 'short'], 422);
        self::assertSame('/password', $short->json('errors.0.pointer'));
        $this->api(null, 'POST', "invitations/$secret", ['password' => 'salt marsh heron'], 204);
        $this->assertAuthenticatedAs($this->person('mina'));
        self::assertSame('Mina Holt', $this->json('GET', '/api/v1/session')->json('person.name'));
        $this->api('mina', 'GET', 'bench', null, 200);
        $this->api('mina', 'GET', 'people', null, 403);
        // The link has done its work.
        $this->api(null, 'POST', "invitations/$secret", ['password' => 'another password'], 404);
        $this->api(null, 'GET', "invitations/$secret", null, 404);
    }

    public function test_a_newer_link_puts_an_older_one_out_of_use_and_none_lasts_for_ever(): void
    {
        $made = $this->api('lead', 'POST', 'people', self::MINA, 201);
        $first = basename($made->json('link'));
        $id = $made->json('person.id');
        $second = basename($this->api('lead', 'POST', "people/$id/link", null, 201)->json('link'));
        $this->api(null, 'GET', "invitations/$first", null, 404);
        $this->api(null, 'GET', "invitations/$second", null, 200);
        Invitation::query()->update(['expires_at' => now()->subSecond()]);
        $this->api(null, 'POST', "invitations/$second", ['password' => 'salt marsh heron'], 404);
    }

    public function test_a_link_for_somebody_who_forgot_ends_their_sessions_and_keeps_what_they_did(): void
    {
        $painter = $this->person('painter');
        $this->sitting($painter);
        $secret = basename($this->api('lead', 'POST', "people/$painter->id/link", null, 201)->json('link'));
        self::assertFalse($this->api(null, 'GET', "invitations/$secret", null, 200)->json('first'));
        self::assertSame(1, DB::table('sessions')->where('user_id', $painter->id)->count(), 'a link alone ends nothing');
        $this->api(null, 'POST', "invitations/$secret", ['password' => 'salt marsh heron'], 204);
        self::assertSame(0, DB::table('sessions')->where('user_id', $painter->id)->count());
        $this->signsIn($painter->email, 'tidemark', false);
        $this->signsIn($painter->email, 'salt marsh heron', true);
    }

    public function test_somebody_set_aside_is_out_at_once_and_their_work_stays(): void
    {
        $odo = $this->person('odo');
        $this->sitting($odo);
        $token = $this->api('odo', 'POST', 'tokens', ['name' => 'x', 'abilities' => ['bench.use']], 201)->json('token');
        $logs = DB::table('step_logs')->where('user_id', $odo->id)->count();
        $change = fn (bool $aside) => $this->api('lead', 'PUT', "people/$odo->id/aside", [
            'revision' => $odo->refresh()->revision,
            'aside' => $aside,
        ], 200);
        self::assertTrue($change(true)->json('set_aside'));
        self::assertSame(0, DB::table('sessions')->where('user_id', $odo->id)->count());
        $this->signsIn($odo->email, 'tidemark', false);
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/v1/bench', ['Authorization' => "Bearer $token"])->assertStatus(401);
        self::assertSame($logs, DB::table('step_logs')->where('user_id', $odo->id)->count());
        $link = $this->api('lead', 'POST', "people/$odo->id/link", null, 201)->json('link');
        $this->api(null, 'GET', 'invitations/'.basename($link), null, 404);
        $change(false);
        $this->signsIn($odo->email, 'tidemark', true);
    }

    public function test_there_is_always_a_lead_at_work_who_may_sign(): void
    {
        $lead = $this->person('lead');
        $put = fn (string $path, array $body, int $status) => $this->api('lead', 'PUT', "people/$lead->id$path", [
            'revision' => $lead->refresh()->revision,
        ] + $body, $status);
        $put('/aside', ['aside' => true], 409);
        $put('', ['role' => 'desk'], 409);
        $put('', ['may_sign' => false], 409);
        // An invited one who has not come yet does not count.
        $other = $this->api('lead', 'POST', 'people', ['role' => 'lead'] + self::MINA, 201);
        $put('', ['role' => 'desk'], 409);
        $this->api(null, 'POST', 'invitations/'.basename($other->json('link')), ['password' => 'salt marsh heron'], 204);
        $put('', ['may_sign' => false], 200);
        self::assertFalse($lead->refresh()->may_sign);
    }

    public function test_an_address_is_one_persons_and_a_change_of_somebody_else_is_not_written_over(): void
    {
        $taken = $this->api('lead', 'POST', 'people', ['email' => 'DESK@heron-lane.example'] + self::MINA, 422);
        self::assertSame('/email', $taken->json('errors.0.pointer'));
        $desk = $this->person('desk');
        $this->api('lead', 'PUT', "people/$desk->id", ['revision' => $desk->revision, 'skill' => 4], 200);
        $this->api('lead', 'PUT', "people/$desk->id", ['revision' => $desk->revision, 'skill' => 5], 409);
        self::assertSame(4, $desk->refresh()->skill);
        foreach ([['email' => []], ['skill' => 9], ['hours_week' => -1], ['largest_batch' => 0], ['role' => 'king']] as $bad) {
            $said = $this->api('lead', 'POST', 'people', $bad + self::MINA, 422);
            self::assertSame('/'.array_key_first($bad), $said->json('errors.0.pointer'));
        }
    }

    public function test_everybody_changes_their_own_password_and_signs_out_elsewhere(): void
    {
        $painter = $this->person('painter');
        $this->sitting($painter);
        $this->sitting($this->person('desk'));
        $wrong = ['current' => 'guessed', 'password' => 'salt marsh heron'];
        self::assertSame(
            '/current',
            $this->api('painter', 'PUT', 'account/password', $wrong, 422)->json('errors.0.pointer'),
        );
        $right = ['current' => 'tidemark', 'password' => 'salt marsh heron'];
        $this->api('painter', 'PUT', 'account/password', $right, 204);
        self::assertSame(0, DB::table('sessions')->where('user_id', $painter->id)->count());
        $this->sitting($painter);
        $this->api('painter', 'DELETE', 'account/sessions', null, 204);
        self::assertSame(0, DB::table('sessions')->where('user_id', $painter->id)->count());
        self::assertSame(1, DB::table('sessions')->where('user_id', $this->person('desk')->id)->count());
    }

    public function test_a_stranger_who_guesses_keeps_nobody_out(): void
    {
        $lead = $this->person('lead');
        $this->app['auth']->forgetGuards();
        $try = fn (string $password, string $from) => $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->postJson('/api/v1/session', ['email' => $lead->email, 'password' => $password])
            ->getStatusCode();
        for ($i = 0; $i < 10; $i++) {
            self::assertSame(422, $try("guess $i", '10.0.0.9'));
        }
        self::assertSame(429, $try('tidemark', '10.0.0.9'));
        self::assertSame(200, $try('tidemark', '10.0.0.7'));
    }

    public function test_a_lead_whose_people_are_all_set_aside_checks_and_signs_alone(): void
    {
        $lead = $this->person('lead');
        self::assertFalse($lead->isAlone());
        User::query()->whereKeyNot($lead->id)->update(['set_aside_at' => now()]);
        self::assertTrue($lead->isAlone());
        $this->api('lead', 'POST', 'people', self::MINA, 201);
        self::assertFalse($lead->isAlone(), 'somebody is invited');
    }

    public function test_what_the_studio_is_is_set_piece_by_piece(): void
    {
        $set = $this->api('lead', 'PUT', 'studio', ['name' => 'Reed House'], 200);
        self::assertSame(['Reed House', '20.00'], [$set->json('name'), $set->json('hourly_rate')]);
        $this->api('lead', 'PUT', 'studio', ['time_zone' => 'Europe/Riga'], 200)->assertJsonPath('time_zone', 'Europe/Riga');
        foreach ([['time_zone' => 'Moon/Base'], ['name' => ' ']] as $bad) {
            $said = $this->api('lead', 'PUT', 'studio', $bad, 422);
            self::assertSame('/'.array_key_first($bad), $said->json('errors.0.pointer'));
        }
    }

    public function test_an_order_is_late_when_its_day_is_over_where_the_studio_is(): void
    {
        $day = function (string $zone): string {
            Studio::row()->update(['time_zone' => $zone]);

            return (new Today())->day();
        };
        // Eleven in the evening of the 24th in Greenwich: the 25th has begun in Auckland.
        $this->travelTo('2026-12-24 23:00:00');
        self::assertSame(['2026-12-24', '2026-12-25'], [$day('UTC'), $day('Pacific/Auckland')]);
        $this->travelTo('2026-12-25 03:00:00');
        self::assertSame(['2026-12-25', '2026-12-24'], [$day('UTC'), $day('America/Halifax')]);
        $order = Order::query()->where('number', '26-041')->firstOrFail();
        $order->update(['due_on' => '2026-12-24']);
        self::assertFalse($this->api('desk', 'GET', "orders/$order->id", null, 200)->json('late'));
        self::assertSame('America/Halifax', $this->api('desk', 'GET', 'session', null, 200)->json('studio.time_zone'));
    }

    private function sitting(User $person): void
    {
        DB::table('sessions')->insert([
            'id' => bin2hex(random_bytes(20)),
            'user_id' => $person->id,
            'payload' => '',
            'last_activity' => time(),
        ]);
    }

    private function signsIn(string $email, string $password, bool $lets): void
    {
        $this->app['auth']->forgetGuards();
        $answer = $this->postJson('/api/v1/session', ['email' => $email, 'password' => $password]);
        self::assertSame($lets ? 200 : 422, $answer->getStatusCode());
        $this->app['auth']->forgetGuards();
        $this->flushSession();
    }

    public function test_a_lead_who_is_locked_out_gets_a_link_on_the_machine_and_nobody_else_does(): void
    {
        $lead = $this->person('lead');
        self::assertSame(1, Artisan::call('ordotype:lead-link', ['email' => 'desk@heron-lane.example']));
        self::assertSame(1, Artisan::call('ordotype:lead-link', ['email' => 'nobody@heron-lane.example']));
        self::assertSame(0, Artisan::call('ordotype:lead-link', ['email' => $lead->email]));
        self::assertSame(1, preg_match('#/join/([0-9a-f]{32})#', Artisan::output(), $link));
        $password = ['password' => 'herons wade at low tide'];
        $this->api(null, 'POST', "invitations/$link[1]", $password, 204);
        self::assertTrue(Hash::check($password['password'], (string) $lead->fresh()?->password));
        $this->api(null, 'POST', "invitations/$link[1]", $password, 404);
    }
}
