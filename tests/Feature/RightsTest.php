<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use Illuminate\Support\Facades\Route;
use Tests\Support\Contract;

final class RightsTest extends StudioTestCase
{
    /** Who may call what; `odo` is a painter who may sign. */
    private const ALLOWED = [
        'POST session' => 'anyone',
        'GET session' => 'anyone',
        'GET vocabulary' => 'anyone',
        'DELETE session' => 'lead painter odo desk',
        'GET standard' => 'lead desk',
        'GET standard/versions' => 'lead desk',
        'GET standard/versions/{number}' => 'lead desk',
        'POST standard/draft' => 'lead',
        'PUT standard/draft/clauses' => 'lead',
        'DELETE standard/draft/clauses' => 'lead',
        'POST standard/draft/try' => 'lead',
        'POST standard/draft/publish' => 'lead',
        'GET standard/versions/{number}/export' => 'lead desk',
        'GET standard/compare' => 'lead desk',
        'GET standard/difference' => 'lead desk',
        'GET standard/tiers/{tier}/open-units' => 'lead desk',
        'GET standard/techniques' => 'lead desk',
        'GET standard/ladder.csv' => 'lead desk',
        'GET standard/limits' => 'lead desk',
        'GET standard/examples' => 'lead desk',
        'POST standard/examples' => 'lead',
        'DELETE standard/examples/{example}' => 'lead',
        'GET standard/comparison' => 'lead desk',
        'GET packs' => 'lead desk',
        'GET packs/{pack}' => 'lead desk',
        'DELETE standard/draft' => 'lead',
        'POST standard/draft/changes' => 'lead',
        'POST standard/draft/consequences' => 'lead',
        'GET shares' => 'lead desk',
        'POST shares' => 'lead desk',
        'DELETE shares/{link}' => 'lead desk',
        'GET shared/{secret}' => 'anyone',
        'GET shared/{secret}/pictures/{sha}' => 'anyone',
        'GET for-you/{secret}' => 'anyone',
        'POST for-you/{secret}/answer' => 'anyone',
        'POST for-you/{secret}/questions' => 'anyone',
        'PUT for-you/{secret}/questions/{question}' => 'anyone',
        'GET for-you/{secret}/units/{unit}/tiers' => 'anyone',
        'GET for-you/{secret}/paper' => 'anyone',
        'GET for-you/{secret}/pictures/{sha}' => 'anyone',
        'GET orders/{order}/client-page' => 'lead desk',
        'GET orders/{order}/quote' => 'lead desk',
        'PUT orders/{order}/quote' => 'lead desk',
        'POST orders/{order}/quotes' => 'lead desk',
        'PUT orders/{order}/quotes/{number}/came-true' => 'lead desk',
        'GET orders/{order}/quotes/{number}/paper' => 'lead desk',
        'PUT orders/{order}/agreed' => 'lead desk',
        'POST orders/{order}/continued' => 'lead desk',
        'GET orders/{order}/budget' => 'lead desk',
        'PUT orders/{order}/budget' => 'lead',
        'GET orders/{order}/letter' => 'lead desk',
        'POST orders/{order}/letter' => 'lead desk',
        'GET units/{unit}/extras' => 'lead',
        'GET sculpts/{slug}/costs' => 'lead desk',
        'PUT paints/{paint}' => 'lead',
        'GET orders/{order}/links' => 'lead desk',
        'POST orders/{order}/links' => 'lead desk',
        'POST imports' => 'lead',
        'POST imports/preview' => 'lead',
        'GET imports/{import}' => 'lead',
        'DELETE imports/{import}' => 'lead',
        'GET studio' => 'lead desk',
        'PUT studio' => 'lead',
        'GET people' => 'lead',
        'POST people' => 'lead',
        'PUT people/{person}' => 'lead',
        'PUT people/{person}/aside' => 'lead',
        'POST people/{person}/link' => 'lead',
        'DELETE people/{person}/second-factor' => 'lead',
        'POST account/second-factor' => 'lead painter odo desk',
        'PUT account/second-factor' => 'lead painter odo desk',
        'DELETE account/second-factor' => 'lead painter odo desk',
        'GET invitations/{secret}' => 'anyone',
        'POST invitations/{secret}' => 'anyone',
        'PUT account/password' => 'lead painter odo desk',
        'DELETE account/sessions' => 'lead painter odo desk',
        'GET tokens' => 'lead painter odo desk',
        'POST tokens' => 'lead painter odo desk',
        'DELETE tokens/{token}' => 'lead painter odo desk',
        'GET paints' => 'lead desk',
        'POST paints' => 'lead',
        'GET orders' => 'lead desk',
        'POST orders' => 'lead desk',
        'GET orders/{order}' => 'lead desk',
        'PUT orders/{order}' => 'lead desk',
        'POST orders/{order}/lines' => 'lead desk',
        'PUT units/{unit}' => 'lead desk',
        'DELETE units/{unit}' => 'lead desk',
        'POST units/{unit}/split' => 'lead desk',
        'POST orders/{order}/moves' => 'lead desk',
        'PUT orders/{order}/hold' => 'lead desk',
        'DELETE orders/{order}/hold' => 'lead desk',
        'PUT orders/{order}/payments' => 'lead desk',
        'PUT orders/{order}/payments/{payment}' => 'lead desk',
        'POST orders/{order}/parcels' => 'lead desk',
        'POST orders/{order}/questions' => 'lead desk',
        'PUT questions/{question}' => 'lead desk',
        'PUT units/{unit}/receiving' => 'lead desk',
        'GET orders/{order}/owed' => 'lead desk',
        'GET orders/{order}/labels' => 'lead desk',
        'GET parcels/{parcel}/slip' => 'lead desk',
        'GET codes/{code}' => 'lead painter odo desk',
        'GET clients' => 'lead desk',
        'GET clients/{client}' => 'lead desk',
        'PUT clients/{client}' => 'lead desk',
        'DELETE clients/{client}' => 'lead',
        'GET clients/{client}/export' => 'lead desk',
        'POST orders/{order}/units' => 'lead desk',
        'GET units/{unit}/plan' => 'lead painter odo desk',
        'PUT units/{unit}/plan' => 'lead',
        'POST units/{unit}/release' => 'lead',
        'POST units/{unit}/taken-over' => 'lead',
        'DELETE units/{unit}/release' => 'lead',
        'GET units/{unit}/schools' => 'lead',
        'GET units/{unit}/tiers' => 'lead',
        'GET units/{unit}/aims' => 'lead painter odo desk',
        'POST units/{unit}/spare' => 'lead',
        'POST units/{unit}/amendments' => 'lead',
        'DELETE units/{unit}/amendments/{amendment}' => 'lead',
        'PUT units/{unit}/tier' => 'lead',
        'PUT units/{unit}/method' => 'lead',
        'POST units/{unit}/move' => 'lead',
        'PUT units/{unit}/sequence' => 'lead',
        'PUT units/{unit}/step' => 'lead',
        'PUT units/{unit}/practice' => 'lead',
        'PUT units/{unit}/aim' => 'lead',
        'POST units/{unit}/overrules' => 'lead',
        'DELETE units/{unit}/overrules/{overrule}' => 'lead',
        'PUT units/{unit}/variants' => 'lead',
        'PUT pieces/{piece}/lacks' => 'lead',
        'POST units/{unit}/copy' => 'lead',
        'GET units/{unit}/stops' => 'lead',
        'GET units/{unit}/spraying' => 'lead',
        'GET units/{unit}/paints' => 'lead painter odo desk',
        'GET units/{unit}/drawn' => 'lead painter odo desk',
        'GET drawn/{sha}/{secret}' => 'anyone',
        'POST drawn/{sha}/{secret}' => 'anyone',
        'GET drawn/{sha}/{secret}/picture' => 'anyone',
        'GET units/{unit}/compare' => 'lead',
        'GET units/{unit}/raise' => 'lead',
        'POST units/{unit}/raise' => 'lead',
        'GET schemes' => 'lead desk',
        'POST schemes' => 'lead',
        'POST schemes/try' => 'lead',
        'GET schemes/{slug}' => 'lead desk',
        'PUT schemes/{slug}' => 'lead',
        'POST schemes/{slug}/outcome' => 'lead',
        'PUT orders/{order}/scheme' => 'lead desk',
        'GET templates' => 'lead',
        'GET studio/first-steps' => 'lead',
        'GET exports/everything' => 'lead',
        'GET exports/{table}' => 'lead',
        'POST paints/table' => 'lead',
        'GET sculpts' => 'lead desk',
        'POST sculpts' => 'lead',
        'POST sculpts/try' => 'lead',
        'GET sculpts/{slug}' => 'lead desk',
        'PUT sculpts/{slug}' => 'lead',
        'GET sculpts/{slug}/export' => 'lead desk',
        'POST pictures' => 'lead painter odo desk',
        'GET pieces/{piece}/photographs' => 'lead painter odo desk',
        'POST pieces/{piece}/photographs' => 'lead painter odo desk',
        'GET sculpts/{slug}/photographs' => 'lead desk',
        'POST sculpts/{slug}/photographs' => 'lead painter odo desk',
        'GET units/{unit}/evenness' => 'lead painter odo desk',
        'PUT units/{unit}/test-model' => 'lead painter odo',
        'POST units/{unit}/test-model' => 'lead',
        'POST units/{unit}/colours' => 'lead',
        'GET units/{unit}/late-variants' => 'lead',
        'POST units/{unit}/late-variants' => 'lead',
        'PUT photographs/{photograph}/placement' => 'lead painter odo desk',
        'DELETE photographs/{photograph}' => 'lead painter odo desk',
        'GET pictures/{sha}' => 'lead painter odo desk',
        'GET bench' => 'lead painter odo',
        'GET bench/{unit}/forecast' => 'lead painter odo',
        'GET bench/day' => 'lead painter odo',
        'GET bench/{unit}/time' => 'lead painter odo',
        'PUT bench/{unit}/time' => 'lead painter odo',
        'GET batches' => 'lead painter odo',
        'POST batches' => 'lead',
        'GET batches/{batch}' => 'lead painter odo',
        'PUT batches/{batch}' => 'lead',
        'DELETE batches/{batch}' => 'lead',
        'GET batches/{batch}/anew' => 'lead painter odo',
        'POST batches/{batch}/runs' => 'lead',
        'GET orders/{order}/forecast' => 'lead desk',
        'GET bench/{unit}' => 'lead painter odo',
        'POST bench/marks' => 'lead painter odo',
        'DELETE bench/marks' => 'lead painter odo',
        'POST pieces/{piece}/move' => 'lead desk',
        'POST bench/offers' => 'lead painter odo',
        'GET checks' => 'lead painter odo desk',
        'GET checks/{check}' => 'lead painter odo desk',
        'POST pieces/{piece}/check' => 'lead painter odo',
        'PUT checks/{check}/answers' => 'lead painter odo',
        'GET faults/pictures' => 'lead painter odo desk',
        'GET drill' => 'lead painter odo',
        'POST drill' => 'lead painter odo',
        'PUT drill/{drill}' => 'lead painter odo',
        'GET units/{unit}/lot' => 'lead painter odo desk',
        'POST units/{unit}/lot' => 'lead painter odo',
        'GET units/{unit}/gates' => 'lead painter odo desk',
        'POST units/{unit}/gates' => 'lead painter odo',
        'GET units/{unit}/tray' => 'lead painter odo desk',
        'PUT units/{unit}/tray' => 'lead painter odo',
        'POST units/{unit}/tray' => 'lead painter odo',
        'PUT checks/{check}/looks' => 'lead painter odo',
        // Who painted on the model is refused, whatever their role.
        'POST checks/{check}/hold' => 'lead odo',
        'POST checks/{check}/judgement' => 'lead painter odo',
        'PUT checks/{check}/faults/{fault}' => 'lead',
        'DELETE checks/{check}/faults/{fault}' => 'lead odo',
        'POST checks/{check}/verdict' => 'lead painter odo',
        'GET sign-offs' => 'lead painter odo desk',
        'GET sign-offs/{number}' => 'lead painter odo desk',
        'POST checks/{check}/concession' => 'lead odo',
        'GET concessions/{secret}' => 'anyone',
        'POST concessions/{secret}' => 'anyone',
        'POST sign-offs/preview' => 'lead odo',
        'GET certificates/{secret}' => 'anyone',
        'GET certificates/{secret}/paper' => 'anyone',
        'GET certificates/{secret}/pictures/{sha}' => 'anyone',
        'POST sign-offs' => 'lead odo',
        'GET sign-offs/{number}/record' => 'lead desk',
        'POST sign-offs/{number}/withdrawal' => 'lead odo',
    ];

    public function test_every_route_is_named_here_and_in_the_contract(): void
    {
        $routes = [];
        foreach (Route::getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $routes[] = "$method ".substr($route->uri(), 7);
                }
            }
        }
        sort($routes);
        $named = array_keys(self::ALLOWED);
        sort($named);
        self::assertSame($named, $routes);
        $contract = array_map(fn (array $o) => $o[0].' '.ltrim($o[1], '/'), Contract::operations());
        sort($contract);
        self::assertSame($named, $contract);
    }

    public function test_every_route_with_every_role_and_with_none(): void
    {
        $unit = $this->unit('26-041');
        $there = [
            'order' => $unit->order_id,
            'unit' => $unit->id,
            'piece' => $unit->pieces()->firstOrFail()->id,
            'check' => Check::query()->whereNull('closed_at')->firstOrFail()->id,
            'number' => 1,
            'pack' => 'five-rungs',
            'link' => 1,
            'person' => $this->person('desk')->id,
            'amendment' => 999999,
            'token' => 1,
            'import' => 1,
            'secret' => str_repeat('0', 32),
            'slug' => 'tidemark',
            'sha' => str_repeat('0', 64),
            'overrule' => 0,
            'fault' => 999999,
            'photograph' => 999999,
            'example' => 999999,
            'drill' => 999999,
            'tier' => 'company',
            'payment' => 999999,
            'question' => 999999,
            'client' => 999999,
            'paint' => 999999,
            'parcel' => 999999,
            'batch' => \App\Models\BatchRow::query()->firstOrFail()->id,
            'code' => 'NOPE9',
            'table' => 'orders',
        ];
        foreach (self::ALLOWED as $route => $allowed) {
            [$method, $path] = explode(' ', $route);
            // Things that are there, and no body: who is let in is told what is missing, or that it is not the time.
            $path = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $m) => (string) $there[$m[1]], $path);
            if ($route !== 'DELETE session') {
                $status = $this->api(null, $method, $path)->getStatusCode();
                self::assertSame($allowed === 'anyone', $status !== 401, "$route without signing in: $status");
            }
            foreach ($allowed === 'anyone' ? [] : ['lead', 'painter', 'odo', 'desk'] as $who) {
                $status = $this->api($who, $method, $path)->getStatusCode();
                self::assertSame(
                    in_array($who, explode(' ', $allowed), true),
                    $status !== 403,
                    "$route as $who: $status",
                );
                self::assertLessThan(500, $status, "$route as $who");
            }
        }
    }

    public function test_signing_in_is_throttled_and_names_no_account(): void
    {
        $wrong = ['email' => 'lead@heron-lane.example', 'password' => 'not it'];
        $known = $this->api(null, 'POST', 'session', $wrong, 422)->json('errors.0.detail');
        self::assertSame(
            $known,
            $this->api(
                null,
                'POST',
                'session',
                ['email' => 'nobody@heron-lane.example', 'password' => 'x'],
                422,
            )->json('errors.0.detail'),
        );
        for ($i = 0; $i < 12; $i++) {
            $status = $this->api(null, 'POST', 'session', $wrong)->getStatusCode();
        }
        self::assertSame(429, $status);
    }

    public function test_the_right_sign_in_opens_a_session(): void
    {
        $this->api(null, 'POST', 'session', ['email' => 'desk@heron-lane.example', 'password' => 'tidemark'], 200)
            ->assertJsonPath('person.role', 'desk')
            ->assertJsonPath('person.may_sign', false);
    }

    public function test_passwords_are_kept_as_argon2id_and_headers_forbid_what_is_not_needed(): void
    {
        self::assertStringStartsWith('$argon2id$', $this->person('lead')->password);
        $headers = $this->get('/standard')->assertOk()->headers;
        self::assertMatchesRegularExpression(
            "/style-src 'self' 'nonce-\w{20,}'; style-src-attr 'unsafe-inline';/",
            (string) $headers->get('Content-Security-Policy'),
        );
        self::assertStringContainsString("script-src 'self';", (string) $headers->get('Content-Security-Policy'));
        self::assertSame('nosniff', $headers->get('X-Content-Type-Options'));
    }
}
