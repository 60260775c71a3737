<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Demo\DemoStudio;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Studio;
use App\Models\Unit;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Support\Contract;

/** The application on a database of its own that holds the demo; each test leaves it as it was. */
abstract class StudioTestCase extends TestCase
{
    use DatabaseTransactions;

    protected static bool $loaded = false;

    /** @var list<string> */
    protected array $connectionsToTransact = ['mariadb'];

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        if (! self::$loaded) {
            Artisan::call('migrate:fresh', ['--database' => 'migrate', '--force' => true]);
            $this->load();
            self::$loaded = true;
        }

        return $app;
    }

    protected function load(): void
    {
        app(DemoStudio::class)->load();
    }

    /** The day that it is where the studio is: near midnight another one than here. */
    protected static function today(): Carbon
    {
        return now(Studio::row()->time_zone)->startOfDay();
    }

    /** How often the database is asked, as by a request of its own. */
    protected function queries(callable $ask): int
    {
        $this->app->forgetScopedInstances();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $ask();
        DB::disableQueryLog();

        // What was released is a record, which a process reads once.
        $isRecord = fn (array $q): bool => str_starts_with($q['query'], 'select `document` from `releases`');

        return count(array_filter(DB::getQueryLog(), fn (array $q) => ! $isRecord($q)));
    }

    protected function person(string $who): User
    {
        return User::query()
            ->where('email', 'like', "$who@%")
            ->firstOrFail();
    }

    protected function unit(string $order, int $place = 0): Unit
    {
        return Order::query()
            ->where('number', $order)
            ->firstOrFail()
            ->units()
            ->orderBy('id')
            ->skip($place)
            ->firstOrFail();
    }

    /**
     * A call of the API whose answer is held against docs/openapi.yaml.
     *
     * @param  array<string, mixed>|null  $body
     */
    protected function api(
        ?string $who,
        string $method,
        string $path,
        ?array $body = null,
        ?int $status = null,
    ): TestResponse {
        $who === null ? $this->app['auth']->forgetGuards() : $this->actingAs($this->person($who));
        $response = $this->json($method, "/api/v1/$path", $body ?? []);
        Contract::assertFits(
            $method,
            "/$path",
            $response->getStatusCode(),
            (string) $response->getContent(),
            (string) $response->headers->get('Content-Type'),
        );
        if ($status !== null) {
            self::assertSame(
                $status,
                $response->getStatusCode(),
                mb_substr((string) $response->getContent(), 0, 800),
            );
        }

        return $response;
    }

    /** A model of the demo that has passed its check. */
    protected function passed(): Piece
    {
        return Piece::query()
            ->with('unit.order')
            ->where('unit_id', $this->unit('26-033')->id)
            ->where('number', 1)
            ->where('stage', 'passed')
            ->firstOrFail();
    }
}
