<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Problem;
use App\Models\AccessToken;
use App\Models\Order;
use App\Models\Piece;
use App\Models\ShareLink;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Storage;
use PDOException;
use RuntimeException;

/** What the studio shares, what scripts may do, what happens once, and what a superuser cannot hide. */
final class ServicesTest extends StudioTestCase
{
    public function test_a_shared_comparison_shows_itself_and_nothing_else_until_it_is_withdrawn_or_expires(): void
    {
        $own = $this->api('desk', 'GET', 'standard/comparison?sculpt=sluice-warden', null, 200);
        self::assertSame(
            ['Muster', 'Company', 'Banner', 'Cabinet', 'Centrepiece'],
            array_column($own->json('rungs'), 'name'),
        );
        // What one sees of it, not how it comes about.
        self::assertContains('Shadows in the recesses.', $own->json('rungs.0.adds'));
        self::assertNotContains('An even undercoat.', $own->json('rungs.0.adds'));
        self::assertContains('A light line on every visible edge.', $own->json('rungs.1.not_here'));
        self::assertContains('A light line on every visible edge.', $own->json('rungs.2.adds'));
        self::assertSame(['price' => '50.00', 'ceiling' => '58.00'], $own->json('rungs.2.price'));

        $made = $this->api(
            'desk',
            'POST',
            'shares',
            ['sculpt' => 'sluice-warden', 'prices' => false, 'days' => 30],
            201,
        );
        self::assertMatchesRegularExpression('#^/shared/[0-9a-f]{32}$#', $made->json('path'));
        $secret = substr($made->json('path'), 8);
        self::assertDatabaseMissing('share_links', ['hash' => $secret]);
        $seen = $this->api(null, 'GET', "shared/$secret", null, 200);
        self::assertNull($seen->json('rungs.2.price'), 'no prices where none were wanted');
        $this->api(null, 'GET', 'standard/comparison?sculpt=sluice-warden', null, 401);
        $this->api(null, 'GET', 'shared/'.str_repeat('f', 32), null, 404);

        ShareLink::query()
            ->where('id', $made->json('id'))
            ->update(['expires_at' => now()->subMinute()]);
        $this->api(null, 'GET', "shared/$secret", null, 404);
        ShareLink::query()
            ->where('id', $made->json('id'))
            ->update(['expires_at' => now()->addDay()]);
        $this->api(null, 'GET', "shared/$secret", null, 200);
        $this->api('desk', 'DELETE', "shares/{$made->json('id')}", null, 204);
        $this->api(null, 'GET', "shared/$secret", null, 404);
        $this->api('desk', 'GET', 'shares', null, 200)->assertJsonPath('data.0.holds', false);
        $this->api(
            'desk',
            'POST',
            'shares',
            ['sculpt' => 'sluice-warden', 'prices' => true, 'days' => 4000],
            422,
        )->assertJsonPath('errors.0.pointer', '/days');
    }

    public function test_a_write_with_an_idempotency_key_happens_once(): void
    {
        $body = ['client' => 'Ada Fen', 'title' => 'Once only'];
        $send = fn (array $body, string $key) => $this->actingAs($this->person('desk'))->json(
            'POST',
            '/api/v1/orders',
            $body,
            ['Idempotency-Key' => $key],
        );
        $first = $send($body, 'once-only-1')->assertCreated();
        $again = $send($body, 'once-only-1')->assertCreated();
        self::assertSame($first->json('id'), $again->json('id'));
        self::assertSame('true', $again->headers->get('Idempotent-Replay'));
        self::assertSame(1, Order::query()->where('title', 'Once only')->count());
        $send(['title' => 'Another'] + $body, 'once-only-1')->assertStatus(422);
        $send(['client' => ''] + $body, 'once-only-2')->assertStatus(422);
        $send($body, 'once-only-2')->assertCreated();
        $send($body, 'x')->assertStatus(400);
        // Somebody else's key is another key.
        $this->actingAs($this->person('lead'))
            ->json('POST', '/api/v1/orders', $body, ['Idempotency-Key' => 'once-only-1'])
            ->assertCreated();
        self::assertSame(3, Order::query()->where('title', 'Once only')->count());
    }

    public function test_a_write_that_a_crash_cut_off_leaves_no_key_behind_and_is_done_when_it_comes_again(): void
    {
        $send = fn () => $this->actingAs($this->person('desk'))->json(
            'POST',
            '/api/v1/orders',
            ['client' => 'Ada Fen', 'title' => 'Cut off'],
            ['Idempotency-Key' => 'cut-off-1'],
        );
        Order::created(function (): void {
            static $first = true;
            if ($first) {
                $first = false;
                throw new RuntimeException('The power went.');
            }
        });
        $send()->assertStatus(500);
        self::assertSame(0, DB::table('answered_writes')->where('key', 'cut-off-1')->count());
        self::assertSame(0, Order::query()->where('title', 'Cut off')->count());
        $id = $send()->assertCreated()->json('id');
        self::assertSame($id, $send()->assertCreated()->json('id'));
        Order::flushEventListeners();
    }

    public function test_a_deadlock_is_tried_again(): void
    {
        $tries = 0;
        Order::created(function () use (&$tries): void {
            if (++$tries < 3) {
                $deadlock = new PDOException('Deadlock found when trying to get lock');
                $deadlock->errorInfo = ['40001', 1213, 'Deadlock found'];
                throw new QueryException('mariadb', 'insert', [], $deadlock);
            }
        });
        $this->actingAs($this->person('desk'))
            ->json('POST', '/api/v1/orders', ['client' => 'A', 'title' => 'Third time'], ['Idempotency-Key' => 'third-time'])
            ->assertCreated();
        self::assertSame([3, 1], [$tries, Order::query()->where('title', 'Third time')->count()]);
        Order::flushEventListeners();
    }

    public function test_a_secret_is_kept_in_no_answer(): void
    {
        $send = fn () => $this->actingAs($this->person('lead'))->json(
            'POST',
            '/api/v1/tokens',
            ['name' => 'nightly', 'abilities' => ['standard.read']],
            ['Idempotency-Key' => 'token-once'],
        );
        $token = $send()->assertCreated()->json('token');
        self::assertStringNotContainsString($token, (string) json_encode(DB::table('answered_writes')->get()));
        $again = $send()->assertCreated();
        self::assertTrue($again->json('told_again'));
        self::assertStringNotContainsString(
            $again->json('token'),
            (string) json_encode(DB::table('answered_writes')->get()),
        );
        $opens = function (string $secret): int {
            $this->app['auth']->forgetGuards();

            return $this->json('GET', '/api/v1/standard', [], ['Authorization' => "Bearer $secret"])->getStatusCode();
        };
        self::assertSame([401, 200], [$opens($token), $opens($again->json('token'))], 'what nobody saw opens nothing');
        $third = $send()->assertCreated()->json('token');
        self::assertSame([401, 200], [$opens($again->json('token')), $opens($third)]);
    }

    public function test_a_link_whose_answer_was_lost_is_made_anew_and_the_unseen_one_opens_nothing(): void
    {
        $send = fn (string $path, array $body, string $key) => $this->actingAs($this->person('lead'))->json(
            'POST',
            "/api/v1/$path",
            $body,
            ['Idempotency-Key' => $key],
        );
        $share = ['sculpt' => 'mudlark', 'prices' => false, 'days' => 7];
        [$lost, $told] = [$send('shares', $share, 'share-once'), $send('shares', $share, 'share-once')];
        self::assertTrue($told->assertCreated()->json('told_again'));
        $this->json('GET', '/api/v1'.$lost->assertCreated()->json('path'))->assertNotFound();
        $this->json('GET', '/api/v1'.$told->json('path'))->assertOk();

        $new = ['name' => 'Nell Fenwick', 'email' => 'nell@heron-lane.example', 'role' => 'painter', 'may_sign' => false,
            'skill' => 2, 'hours_week' => null, 'largest_batch' => null];
        [$lost, $told] = [$send('people', $new, 'person-once'), $send('people', $new, 'person-once')];
        self::assertSame(
            [$lost->assertCreated()->json('person.id'), true],
            [$told->assertCreated()->json('person.id'), $told->json('told_again')],
        );
        $invited = fn (string $link) => $this->json('GET', '/api/v1/invitations/'.basename($link))->getStatusCode();
        self::assertSame([404, 200], [$invited($lost->json('link')), $invited($told->json('link'))]);
        $link = "people/{$told->json('person.id')}/link";
        [$lost, $told] = [$send($link, [], 'link-once'), $send($link, [], 'link-once')];
        self::assertSame([404, 200], [$invited($lost->json('link')), $invited($told->json('link'))]);
    }

    public function test_a_token_signs_a_script_in_for_what_it_names_until_it_is_revoked(): void
    {
        $this->api('painter', 'POST', 'tokens', ['name' => 'too much', 'abilities' => ['standard.edit']], 422);
        $made = $this->api(
            'lead',
            'POST',
            'tokens',
            ['name' => 'nightly export', 'abilities' => ['standard.read']],
            201,
        );
        $secret = $made->json('token');
        self::assertDatabaseMissing('personal_access_tokens', ['token' => $secret]);
        $this->app['auth']->forgetGuards();
        $with = fn (string $method, string $path, string $token) => $this->json(
            $method,
            "/api/v1/$path",
            [],
            ['Authorization' => "Bearer $token"],
        );
        $with('GET', 'standard', $secret)->assertOk()->assertJsonPath('editable', false);
        $this->app['auth']->forgetGuards();
        $with('GET', 'orders', $secret)->assertForbidden();
        $this->app['auth']->forgetGuards();
        $with('POST', 'standard/draft', $secret)->assertForbidden();
        $this->app['auth']->forgetGuards();
        $with('POST', 'tokens', $secret)->assertForbidden();
        $this->app['auth']->forgetGuards();
        $with('GET', 'standard', 'ordo_nonsense')->assertUnauthorized();
        $this->api('painter', 'DELETE', "tokens/{$made->json('id')}", null, 404);
        self::assertNotNull(AccessToken::query()->find($made->json('id'))?->last_used_at);
        $this->api('lead', 'GET', 'tokens', null, 200)->assertJsonPath('data.0.name', 'nightly export');
        $this->travel(89)->days();
        $this->app['auth']->forgetGuards();
        $with('GET', 'standard', $secret)->assertOk();
        $this->travel(2)->days();
        $this->app['auth']->forgetGuards();
        $with('GET', 'standard', $secret)->assertUnauthorized();
        // Nobody's session lasts so long; the lead signs in again.
        $this->flushSession();
        $this->api('lead', 'GET', 'tokens', null, 200)->assertJsonPath('data.0.expired', true);
        $this->travelBack();
        $this->flushSession();
        $this->api('lead', 'DELETE', "tokens/{$made->json('id')}", null, 204);
        $this->app['auth']->forgetGuards();
        $with('GET', 'standard', $secret)->assertUnauthorized();
    }

    public function test_pieces_are_held_taken_up_again_lost_delivered_and_claimed(): void
    {
        $piece = Piece::query()
            ->where('unit_id', $this->unit('26-038')->id)
            ->where('stage', 'on_bench')
            ->firstOrFail();
        $move = fn (int $id, string $move, ?string $reason, int $status) => $this->api(
            'desk',
            'POST',
            "pieces/$id/move",
            ['move' => $move, 'reason' => $reason],
            $status,
        );
        $move($piece->id, 'hold', '', 422)->assertJsonPath('errors.0.pointer', '/reason');
        $move($piece->id, 'hold', 'Wants a new arm.', 200)->assertJsonPath('stage', 'on_hold');
        $move($piece->id, 'hold', 'Again.', 409);
        $move($piece->id, 'resume', null, 200)->assertJsonPath('stage', 'on_bench');
        $move($piece->id, 'lose', 'Dropped.', 200)->assertJsonPath('stage', 'lost');
        $move($piece->id, 'resume', null, 409);
        $signed = Piece::query()->where('stage', 'signed')->firstOrFail();
        $move($signed->id, 'deliver', null, 200)->assertJsonPath('stage', 'delivered');
        self::assertSame('delivered', $signed->unit()->firstOrFail()->order->fresh()?->status->value);
        $move($signed->id, 'claim', 'An edge rubbed through on the way.', 200)->assertJsonPath('stage', 'offered');
        self::assertSame('in_work', $signed->unit()->firstOrFail()->order->fresh()?->status->value);
        $check = $this->api('lead', 'POST', "pieces/$signed->id/check", null, 201);
        self::assertSame(2, $check->json('round'));
        $move($signed->id, 'fly', 'Why not.', 422);
    }

    public function test_a_database_that_is_away_is_said_and_is_no_500(): void
    {
        $gone = Problem::from(
            new QueryException(
                'mariadb',
                'select 1',
                [],
                new PDOException('SQLSTATE[HY000] [2002] Connection refused'),
            ),
        );
        self::assertSame(503, $gone->getStatusCode());
        self::assertStringContainsString('The database cannot be reached', (string) $gone->getContent());
        self::assertSame(
            500,
            Problem::from(
                new QueryException(
                    'mariadb',
                    'select nothing',
                    [],
                    new PDOException('SQLSTATE[42S22]: Column not found'),
                ),
            )->getStatusCode(),
        );
    }

    public function test_a_disk_that_is_full_or_cannot_be_written_to_is_said(): void
    {
        $full = new QueryException('mariadb', 'insert', [], $cause = new PDOException('The table is full'));
        $cause->errorInfo = $full->errorInfo = ['HY000', 1114, 'The table is full'];
        self::assertSame(507, Problem::from($full)->getStatusCode());

        // A folder that cannot be: below a file.
        config(['filesystems.disks.local.root' => __FILE__.'/pictures']);
        Storage::forgetDisk('local');
        $sent = $this->actingAs($this->person('lead'))->post(
            '/api/v1/pictures',
            ['picture' => UploadedFile::fake()->image('figure.png', 30, 40)],
            ['Accept' => 'application/json'],
        );
        self::assertSame(507, $sent->getStatusCode());
        self::assertStringContainsString('cannot be written to', $sent->json('detail'));
        Storage::forgetDisk('local');
    }

    public function test_a_little_before_a_disk_is_full_nothing_more_is_written_and_all_can_be_read(): void
    {
        $before = Order::query()->count();
        $facts = ['client' => 'Ada Fen', 'title' => 'One more', 'brief' => null, 'due_on' => null];
        // More than any disk has.
        config(['ordotype.least_mb' => 10 ** 9]);
        $this->api('lead', 'POST', 'orders', $facts, 507);
        self::assertSame($before, Order::query()->count());
        $this->api('lead', 'GET', 'orders', null, 200);
        self::assertSame('none', $this->api('lead', 'GET', 'session', null, 200)->json('room'));
        $this->getJson('/up')->assertStatus(503)->assertJsonPath('disk', false);
        $signIn = ['email' => 'desk@heron-lane.example', 'password' => 'tidemark'];
        $this->postJson('/api/v1/session', $signIn)->assertOk();

        config(['ordotype.least_mb' => 1]);
        self::assertSame('enough', $this->api('lead', 'GET', 'session', null, 200)->json('room'));
        $this->api('lead', 'POST', 'orders', $facts, 201);
    }

    public function test_sign_ins_and_what_is_not_allowed_are_in_the_log_without_passwords(): void
    {
        $log = Log::spy();
        $this->postJson('/api/v1/session', ['email' => 'lead@heron-lane.example', 'password' => 'wrong password'])
            ->assertStatus(422);
        $this->api('painter', 'GET', 'people', null, 403);
        $log->shouldHaveReceived('notice')->with('A sign-in was refused.', ['ip' => '127.0.0.1'])->once();
        $log->shouldHaveReceived('notice')->with('Not allowed.', [
            'person' => $this->person('painter')->id,
            'asked' => 'GET api/v1/people',
            'ip' => '127.0.0.1',
        ])->once();
    }

    public function test_the_hourly_rate_is_exact_and_named_when_it_is_wrong(): void
    {
        $this->api('desk', 'GET', 'studio', null, 200)->assertJsonPath('hourly_rate', '20.00');
        $this->api('lead', 'PUT', 'studio', ['hourly_rate' => 'much'], 422)->assertJsonPath(
            'errors.0.pointer',
            '/hourly_rate',
        );
        $this->api('lead', 'PUT', 'studio', ['hourly_rate' => '34,5'], 200)->assertJsonPath('hourly_rate', '34.50');
        $this->api('lead', 'PUT', 'studio', ['hourly_rate' => '24.50'], 200)->assertJsonPath('hourly_rate', '24.50');
    }

    public function test_verify_names_the_record_that_a_superuser_altered(): void
    {
        $root = DB::connection('migrate');
        $guard = (array) $root->selectOne('show create trigger sign_offs_no_update');
        $record = $root->selectOne('select record from sign_offs where number = 2')->record;
        try {
            $root->unprepared('drop trigger sign_offs_no_update');
            $root->update('update sign_offs set record = ? where number = 2', [
                str_replace('Mudlark', 'Mudlord', $record),
            ]);
            self::assertSame(1, Artisan::call('ordotype:verify'));
            self::assertStringContainsString('Broken at record 2', Artisan::output());
        } finally {
            // The reader's transaction holds the table, and a trigger is made only when nobody does.
            DB::rollBack();
            $root->update('update sign_offs set record = ? where number = 2', [$record]);
            $root->unprepared(
                str_replace('CREATE DEFINER', 'CREATE OR REPLACE DEFINER', $guard['SQL Original Statement']),
            );
        }
        DB::beginTransaction();
        self::assertSame(0, Artisan::call('ordotype:verify'));
    }

    public function test_who_is_not_signed_in_is_told_so_whatever_the_answer_is_accepted_as(): void
    {
        foreach (['/api/v1/orders', '/api/v1/pictures/'.str_repeat('0', 64)] as $path) {
            $this->get($path, ['Accept' => 'text/html'])
                ->assertStatus(401)
                ->assertHeader('Content-Type', 'application/problem+json');
        }
    }
}
