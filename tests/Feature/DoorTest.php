<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\Heartbeat;
use Illuminate\Http\Middleware\TrustProxies;
use PHPUnit\Framework\Attributes\DataProvider;

/** What every answer carries, and to whom anything is answered at all. */
final class DoorTest extends StudioTestCase
{
    protected function tearDown(): void
    {
        TrustProxies::flushState();
        parent::tearDown();
    }

    public function test_only_the_names_of_this_installation_are_answered_to(): void
    {
        config(['app.url' => 'https://studio.example', 'ordotype.hosts' => ['bench.local', '192.168.7.2']]);
        foreach (['studio.example', 'bench.local', '192.168.7.2', '127.0.0.1', 'localhost:8480'] as $host) {
            self::assertSame(200, $this->asked($host)->getStatusCode(), $host);
        }
        foreach (['evil.example', 'studio.example.evil.example', '192.168.7.3'] as $host) {
            $answer = $this->asked($host);
            self::assertSame(400, $answer->getStatusCode(), $host);
            self::assertStringContainsString('problem+json', (string) $answer->headers->get('Content-Type'));
            self::assertStringNotContainsString($host, (string) $answer->getContent());
        }
    }

    /** @return iterable<string, array{list<string>, string, bool}> trusted, what is forwarded, whether it counts as TLS */
    public static function proxies(): iterable
    {
        yield 'nobody is trusted' => [[], 'https', false];
        yield 'somebody else is trusted' => [['10.9.9.9'], 'https', false];
        yield 'the proxy is trusted' => [['10.0.0.5'], 'https', true];
        yield 'the proxy is trusted, and was asked without TLS' => [['10.0.0.5'], 'http', false];
    }

    /** @param  list<string>  $trusted */
    #[DataProvider('proxies')]
    public function test_behind_tls_browsers_are_told_to_stay_there(array $trusted, string $forwarded, bool $tls): void
    {
        config(['trustedproxy.proxies' => $trusted]);
        $answer = $this->call('GET', 'http://127.0.0.1/api/v1/session', [], [], [], [
            'REMOTE_ADDR' => '10.0.0.5',
            'HTTP_X_FORWARDED_PROTO' => $forwarded,
        ]);
        self::assertSame($tls, $answer->headers->has('Strict-Transport-Security'));
        self::assertSame($tls ? 'same-origin' : null, $answer->headers->get('Cross-Origin-Opener-Policy'));
    }

    public function test_every_answer_says_what_a_browser_may_do_with_it(): void
    {
        foreach (['/', '/api/v1/session', '/api/v1/nothing-here', '/up'] as $path) {
            $headers = $this->get("http://127.0.0.1$path")->headers;
            self::assertSame('DENY', $headers->get('X-Frame-Options'), $path);
            self::assertSame('nosniff', $headers->get('X-Content-Type-Options'), $path);
            self::assertStringContainsString('microphone=()', (string) $headers->get('Permissions-Policy'), $path);
            $policy = (string) $headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy, $path);
            self::assertDoesNotMatchRegularExpression('/(script|default)-src[^;]*unsafe/', $policy, $path);
            self::assertMatchesRegularExpression("/style-src 'self' 'nonce-[A-Za-z0-9]{20,}'/", $policy, $path);
        }
    }

    private function asked(string $host): \Illuminate\Testing\TestResponse
    {
        return $this->get("http://$host/api/v1/session");
    }

    public function test_health_is_told_by_its_parts_and_a_database_that_is_away_is_said(): void
    {
        $this->getJson('/up')->assertOk()->assertExactJson([
            'database' => true,
            'disk' => true,
            'pictures' => true,
            'worker' => false,
        ]);
        app(Heartbeat::class)->beat();
        $this->getJson('/up')->assertOk()->assertJsonPath('worker', true);
        config(['database.connections.away' => ['port' => 1] + (array) config('database.connections.mariadb')]);
        config(['database.default' => 'away']);
        try {
            $this->getJson('/up')->assertStatus(503)->assertJson([
                'database' => false,
                'disk' => true,
                'pictures' => true,
            ]);
        } finally {
            config(['database.default' => 'mariadb']);
        }
    }
}
