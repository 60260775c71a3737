<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Foundation\OneTimeCode;

/** A code of a device beside the password: set up, wanted by role, used once, lost. */
final class SecondFactorTest extends StudioTestCase
{
    public function test_it_is_set_up_with_a_code_and_then_wanted_at_the_door_once_each(): void
    {
        $secret = $this->begun('painter');
        $this->api('painter', 'PUT', 'account/second-factor', ['code' => '000000'], 422)->assertJsonPath('errors.0.pointer', '/code');
        $this->signIn('painter', null)->assertOk();
        $codes = $this->api('painter', 'PUT', 'account/second-factor', ['code' => $this->code($secret)], 200)->json('codes');
        self::assertCount(10, array_unique($codes));
        foreach (['users', 'activities'] as $table) {
            $rows = (string) json_encode(DB::table($table)->get());
            self::assertStringNotContainsString($secret, $rows, 'the secret is kept encrypted');
            self::assertStringNotContainsString($codes[0], $rows);
        }

        $this->signIn('painter', null)->assertUnprocessable()->assertJsonPath('errors.0.pointer', '/code');
        $this->signIn('painter', $this->code($secret))->assertUnprocessable(); // it was used to confirm
        $this->travel(30)->seconds();
        $code = $this->code($secret);
        $this->signIn('painter', $code)->assertOk()->assertJsonPath('person.second_factor', 'there');
        $this->signIn('painter', $code)->assertUnprocessable();
        $this->travel(5)->minutes();
        $this->signIn('painter', $code)->assertUnprocessable();
        $this->signIn('painter', strtoupper(str_replace('-', ' ', $codes[3])))->assertOk();
        $this->signIn('painter', $codes[3])->assertUnprocessable();
        $this->signIn('painter', $codes[4])->assertOk();
        // Without the password no code helps, and nobody learns that there is one.
        $this->signIn('painter', $codes[5], 'guessed')->assertJsonPath('errors.0.pointer', '/email');
    }

    public function test_a_role_of_which_it_is_wanted_does_nothing_before_it_is_there(): void
    {
        $this->api('desk', 'PUT', 'studio', ['second_factor_roles' => ['painter']], 403);
        $this->api('lead', 'PUT', 'studio', ['second_factor_roles' => ['cook']], 422);
        $this->api('lead', 'PUT', 'studio', ['second_factor_roles' => ['painter']], 200);
        $this->api('painter', 'GET', 'session', null, 200)->assertJsonPath('person.second_factor', 'wanted');
        $refused = $this->api('painter', 'GET', 'bench', null, 403);
        self::assertStringContainsString('second factor', (string) $refused->json('detail'));
        $this->api('painter', 'GET', 'units/'.$this->unit('26-041')->id.'/plan', null, 403);
        $this->api('desk', 'GET', 'orders', null, 200);
        $secret = $this->begun('painter');
        $this->api('painter', 'PUT', 'account/second-factor', ['code' => $this->code($secret)], 200);
        $this->api('painter', 'GET', 'bench', null, 200);
    }

    public function test_it_is_taken_away_with_the_password_or_by_a_lead_for_whoever_lost_it(): void
    {
        $secret = $this->begun('painter');
        $this->api('painter', 'PUT', 'account/second-factor', ['code' => $this->code($secret)], 200);
        $this->api('painter', 'POST', 'account/second-factor', ['current' => 'tidemark'], 409);
        $this->api('painter', 'DELETE', 'account/second-factor', ['current' => 'guessed'], 422)->assertJsonPath('errors.0.pointer', '/current');
        $this->api('painter', 'DELETE', 'account/second-factor', ['current' => 'tidemark'], 204);
        $this->signIn('painter', null)->assertOk();
        $secret = $this->begun('painter');
        $this->travel(1)->minutes();
        $this->api('painter', 'PUT', 'account/second-factor', ['code' => $this->code($secret)], 200);
        $id = $this->person('painter')->id;
        $this->api('desk', 'DELETE', "people/$id/second-factor", null, 403);
        $this->api('lead', 'DELETE', "people/$id/second-factor", null, 204);
        $this->signIn('painter', null)->assertOk();
        self::assertSame(
            ['set up', 'taken away', 'set up', 'taken away'],
            DB::table('activities')->where('action', 'person.second_factor')->orderBy('id')->pluck('after')->all(),
        );
    }

    private function begun(string $who): string
    {
        $begun = $this->api($who, 'POST', 'account/second-factor', ['current' => 'tidemark'], 201);
        self::assertStringContainsString($begun->json('secret'), (string) $begun->json('address'));
        self::assertStringStartsWith('otpauth://totp/Heron%20Lane:', (string) $begun->json('address'));

        return $begun->json('secret');
    }

    private function code(string $secret): string
    {
        return OneTimeCode::at(OneTimeCode::read($secret), intdiv(now()->getTimestamp(), OneTimeCode::STEP));
    }

    private function signIn(string $who, ?string $code, string $password = 'tidemark'): \Illuminate\Testing\TestResponse
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->app['cache']->flush();

        return $this->json('POST', '/api/v1/session', [
            'email' => User::query()->findOrFail($this->person($who)->id)->email,
            'password' => $password,
            'code' => $code,
        ]);
    }
}
