<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Settings\LongImports;
use App\Models\Import;
use App\Models\Order;
use App\Models\Paint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;

/** Files that take long: by the worker, seen on the way, called off with nothing left. */
final class LongImportsTest extends StudioTestCase
{
    public function test_an_order_of_many_models_is_taken_in_by_the_worker(): void
    {
        $id = $this->send($this->order(['count' => 150], ['count' => 120]))->assertStatus(202)->json('import.id');
        // The queue of the tests works at once.
        $this->api('lead', 'GET', "imports/$id", null, 200)->assertJson([
            'state' => 'done',
            'done' => 270,
            'all' => 270,
            'said' => 'Order 27-900 for The Fen Library, 2 units, 270 pieces.',
        ]);
        self::assertNull(Import::query()->findOrFail($id)->text);
        self::assertSame(2, Order::query()->where('number', '27-900')->firstOrFail()->units()->count());
        $this->send($this->order(['count' => 3]))->assertStatus(422);
        $again = $this->send($this->order(['count' => 201]))->assertStatus(202)->json('import.id');
        $this->api('lead', 'GET', "imports/$again", null, 200)
            ->assertJsonPath('state', 'refused')
            ->assertJsonPath('problems.0.pointer', '/number');
    }

    public function test_it_can_be_called_off_while_it_waits_and_while_it_runs(): void
    {
        Queue::fake();
        $waiting = $this->send($this->order(['count' => 300]))->assertStatus(202)->json('import.id');
        $this->api('lead', 'DELETE', "imports/$waiting", null, 200)->assertJsonPath('state', 'cancelled');
        app(LongImports::class)->take($waiting);
        self::assertFalse(Order::query()->where('number', '27-900')->exists());

        $before = Paint::query()->count();
        $shelf = "name,kind,hex,hiding,ml\n".implode("\n", array_map(
            fn (int $n) => "Long paint of the fen with a long name, number $n,opaque,#0a0b0c,high,17",
            range(1, 4000),
        ));
        $shelf = str_replace(', number', ' number', $shelf);
        $running = $this->send($shelf)->assertStatus(202)->json('import.id');
        // Somebody calls it off when a hundred are in.
        DB::listen(function ($query) use ($running): void {
            if (str_starts_with($query->sql, 'update `imports`') && in_array(100, $query->bindings, true)) {
                DB::table('imports')->where('id', $running)->update(['called_off' => true]);
            }
        });
        app(LongImports::class)->take($running);
        $this->api('lead', 'GET', "imports/$running", null, 200)->assertJson([
            'state' => 'cancelled',
            'done' => 100,
            'all' => 4000,
        ]);
        self::assertSame($before, Paint::query()->count(), 'nothing of it stays');
        $this->api('lead', 'DELETE', "imports/$running", null, 200)->assertJsonPath('state', 'cancelled');
    }

    public function test_one_that_is_cut_off_again_and_again_says_so(): void
    {
        Queue::fake();
        $id = $this->send($this->order(['count' => 300]))->assertStatus(202)->json('import.id');
        app(LongImports::class)->gaveUp($id);
        $this->api('lead', 'GET', "imports/$id", null, 200)->assertJsonPath('state', 'refused');
    }

    private function send(string $text): TestResponse
    {
        return $this->actingAs($this->person('lead'))->call('POST', '/api/v1/imports', [], [], [], [
            'CONTENT_TYPE' => 'application/json',
            'HTTP_ACCEPT' => 'application/json',
        ], $text);
    }

    /** @param  array{count: int}  ...$units */
    private function order(array ...$units): string
    {
        return (string) json_encode([
            'format' => 'ordotype/order@1',
            'number' => '27-900',
            'client' => 'The Fen Library',
            'title' => 'Everything',
            'brief' => null,
            'status' => 'draft',
            'due_in_days' => 90,
            'scheme' => null,
            'method' => null,
            'units' => array_map(fn (array $unit) => $unit + ['sculpt' => 'mudlark', 'tier' => 'muster'], $units),
        ]);
    }
}
