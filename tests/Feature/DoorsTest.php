<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Controllers\Session\SessionController;
use App\Http\Middleware\SessionAge;
use App\Models\Check;
use App\Models\Order;
use App\Models\Piece;
use App\Models\SignOff;
use App\Studio\Guessing;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;

/** Who gets in, for how long, and what a painter never gets to read. */
final class DoorsTest extends StudioTestCase
{
    public function test_an_address_that_nobody_has_costs_as_much_as_a_wrong_password(): void
    {
        // Time is not measured here: the same work is done, with the same settings.
        self::assertFalse(Hash::needsRehash(SessionController::NOBODYS));
        Hash::shouldReceive('check')->twice()->andReturn(false);
        foreach (['painter@heron-lane.example', 'nobody@heron-lane.example'] as $email) {
            $said = $this->api(null, 'POST', 'session', ['email' => $email, 'password' => 'guessed'], 422);
            self::assertSame('This address and password do not belong together.', $said->json('errors.0.detail'));
        }
    }

    public function test_a_new_password_by_a_link_ends_scripts_as_well(): void
    {
        $painter = $this->person('painter');
        $made = $this->api('painter', 'POST', 'tokens', ['name' => 'sheet', 'abilities' => ['bench.use'], 'days' => 30], 201);
        $secret = (string) $made->json('token');
        $ask = fn () => $this->json('GET', '/api/v1/bench', [], ['Authorization' => "Bearer $secret"])->getStatusCode();
        $this->app['auth']->forgetGuards();
        self::assertSame(200, $ask());
        $link = $this->api('lead', 'POST', "people/$painter->id/link", null, 201)->json('link');
        $this->api(null, 'POST', 'invitations/'.basename((string) $link), ['password' => 'lantern gravel otter'], 204);
        $this->app['auth']->forgetGuards();
        self::assertSame(401, $ask());
    }

    public function test_a_session_ends_by_age_however_busy_it_is(): void
    {
        $this->actingAs($this->person('painter'));
        foreach (range(1, SessionAge::HOURS) as $hour) {
            $this->json('GET', '/api/v1/bench')->assertOk();
            $this->travel(1)->hours();
        }
        $this->json('GET', '/api/v1/bench')->assertOk();
        $this->travel(1)->minutes();
        $this->json('GET', '/api/v1/bench')->assertUnauthorized();
    }

    public function test_passwords_that_are_guessed_first_are_refused_and_good_ones_are_not(): void
    {
        $own = ['Ines Tallow', 'painter@heron-lane.example', 'Heron Lane Studio', 'ordotype'];
        foreach (['password1234', 'P@ssw0rd1234', 'qwertyuiop12', 'aaaaaaaaaaaa', 'abcdefghijkl', '123456789012',
            'Ines Tallow 2026', 'heronlane1234', 'dragondragondragon', 'ordotype2026!', 'tallowheronlane'] as $weak) {
            self::assertLessThan(Guessing::LEAST_BITS, Guessing::bits($weak, $own), $weak);
        }
        foreach (['salt marsh gravel', 'kV9#tq2Lx!wp', 'ochre teapot bicycle', 'Wenn Enten am Sonntag tanzen', '山路を登りながら、こう考えた'] as $strong) {
            self::assertGreaterThan(Guessing::LEAST_BITS, Guessing::bits($strong, $own), $strong);
        }
        $weak = ['current' => 'tidemark', 'password' => 'Ines Tallow 1'];
        $said = $this->api('painter', 'PUT', 'account/password', $weak, 422);
        self::assertSame('/password', $said->json('errors.0.pointer'));
        self::assertStringContainsString('soon guessed', (string) $said->json('detail'));
    }

    public function test_no_page_that_a_painter_may_read_names_a_client(): void
    {
        $client = 'Wilhelmina Unmistakable';
        Order::query()->update(['client' => $client]);
        $piece = $this->passed();
        $preview = $this->api('odo', 'POST', 'sign-offs/preview', ['pieces' => [$piece->id]]);
        self::assertStringNotContainsString($client, (string) $preview->getContent());
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201);
        Check::query()->whereNull('closed_at')->update(['consent' => "$client, on the telephone"]);
        $there = [
            'unit' => [$piece->unit_id, $this->unit('26-041')->id],
            'piece' => [$piece->id, Piece::query()->where('stage', 'offered')->value('id')],
            'check' => Check::query()->pluck('id')->all(),
            'number' => SignOff::query()->pluck('number')->all(),
            'slug' => ['sluice-warden'],
        ];
        $read = [];
        foreach (Route::getRoutes() as $route) {
            $uri = $route->uri();
            if (! in_array('GET', $route->methods(), true) || ! str_starts_with($uri, 'api/v1/') || str_contains($uri, 'secret') || str_contains($uri, 'sha')) {
                continue;
            }
            preg_match_all('/\{(\w+)\}/', $uri, $names);
            foreach ($there[$names[1][0] ?? ''] ?? ($names[1] === [] ? [null] : []) as $id) {
                $path = substr((string) preg_replace('/\{\w+\}/', (string) $id, $uri), 7);
                $answer = $this->actingAs($this->person('odo'))->json('GET', "/api/v1/$path");
                if ($answer->isOk()) {
                    $read[$uri] = true;
                    self::assertStringNotContainsString($client, (string) $answer->getContent(), $path);
                    self::assertStringNotContainsString('Unmistakable', (string) $answer->getContent(), $path);
                }
            }
        }
        foreach (['units/{unit}/plan', 'checks/{check}', 'sign-offs/{number}', 'bench/{unit}', 'pieces/{piece}/photographs'] as $page) {
            self::assertArrayHasKey("api/v1/$page", $read, 'it was not read');
        }
        self::assertStringContainsString($client, (string) $this->api('lead', 'GET', 'sign-offs/'.SignOff::query()->max('number'), null, 200)->getContent());
    }
}
