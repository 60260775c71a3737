<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\DrawPicture;
use App\Models\Drawing;
use App\Pictures\Drawings;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Standard\Extent;
use Tests\Support\Demo;

/** Drawings are made when somebody looks, once, and shown to whoever was given their address. */
final class DrawingsTest extends StudioTestCase
{
    public function test_a_drawing_is_made_once_and_had_by_its_address_alone(): void
    {
        Storage::fake();
        $drawings = app(Drawings::class);
        $address = $drawings->address(self::small());
        self::assertSame($address, $drawings->address(self::small()), 'the same picture has the same address');
        [$hash, $key] = explode('/', $address);
        self::assertSame('known', Drawing::query()->findOrFail($hash)->state, 'nothing is drawn before somebody looks');
        $this->api(null, 'GET', "drawn/$address/picture", null, 404);
        $this->api(null, 'GET', "drawn/$hash/".str_repeat('0', 32), null, 404);
        $this->api(null, 'GET', 'drawn/'.str_repeat('0', 64)."/$key", null, 404);
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'ready', 'before' => 0]);
        $picture = $this->get("/api/v1/drawn/$address/picture")->assertOk();
        self::assertSame('image/png', $picture->headers->get('Content-Type'));
        $png = (string) $picture->getContent();
        $image = imagecreatefromstring($png);
        self::assertNotFalse($image);
        self::assertSame([120, 160], [imagesx($image), imagesy($image)]);
        self::assertStringContainsString('Not a photograph', $png);
        $ready = Drawing::query()->findOrFail($hash)->ready_at;
        $this->api(null, 'GET', "drawn/$address", null, 200);
        self::assertEquals($ready, Drawing::query()->findOrFail($hash)->ready_at, 'drawn a second time');
        self::assertSame(strlen($png), Drawing::query()->findOrFail($hash)->bytes);
        Storage::disk()->deleteDirectory('booth');
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'ready']);
        $again = $this->get("/api/v1/drawn/$address/picture")->assertOk();
        self::assertSame($png, (string) $again->getContent(), 'what was lost is drawn again, the same');
    }

    public function test_many_who_look_have_it_drawn_once_and_what_failed_is_tried_again_when_somebody_says_so(): void
    {
        Storage::fake();
        Queue::fake();
        $address = app(Drawings::class)->address(self::small());
        $other = app(Drawings::class)->address(self::small(7));
        [$hash] = explode('/', $address);
        foreach ([1, 2, 3] as $_) {
            $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'waiting', 'before' => 0]);
        }
        Queue::assertPushedOn(Drawings::QUEUE, DrawPicture::class);
        Queue::assertPushed(DrawPicture::class, 1);
        $this->api(null, 'GET', "drawn/$other", null, 200)->assertJson(['state' => 'waiting', 'before' => 1]);
        (new DrawPicture($hash))->failed(null);
        foreach ([1, 2, 3] as $_) {
            $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'failed']);
        }
        Queue::assertPushed(DrawPicture::class, 2);
        self::assertSame(1, $this->api('lead', 'GET', 'studio', null, 200)->json('failed.drawings'));
        foreach ([1, 2] as $_) {
            $this->api(null, 'POST', "drawn/$address", null, 200)->assertJson(['state' => 'waiting']);
        }
        Queue::assertPushed(DrawPicture::class, 3);
        self::assertSame(0, $this->api('lead', 'GET', 'studio', null, 200)->json('failed.drawings'));
    }

    public function test_what_fails_is_tried_three_times_with_growing_pauses_even_where_it_kills_its_worker(): void
    {
        Storage::fake();
        config(['queue.default' => 'database']);
        $address = app(Drawings::class)->address(self::small(9));
        [$hash] = explode('/', $address);
        Drawing::query()->whereKey($hash)->update(['spec' => '{"format":"ordotype/booth@1"}']);
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'waiting']);
        $work = fn () => Artisan::call('queue:work', ['--queue' => Drawings::QUEUE, '--once' => true, '--sleep' => 0]);
        $pauses = [];
        foreach ([1, 2, 3] as $_) {
            $work();
            $available = DB::table('jobs')->where('queue', Drawings::QUEUE)->value('available_at');
            $pauses[] = $available === null ? null : (int) $available - now()->getTimestamp();
            $this->travel(61)->seconds();
        }
        self::assertSame([10, 60, null], $pauses);
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'failed']);

        // A worker that is killed leaves the job reserved; after three of them it is given up.
        $this->api(null, 'POST', "drawn/$address", null, 200);
        foreach ([1, 2, 3] as $_) {
            self::assertNotNull($this->app['queue']->connection('database')->pop(Drawings::QUEUE));
            $this->travel(1000)->seconds();
        }
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'waiting']);
        $work();
        $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'failed']);
        self::assertSame(0, DB::table('jobs')->where('queue', Drawings::QUEUE)->count());
    }

    public function test_of_more_than_are_kept_the_oldest_go_with_all_that_is_kept_of_them(): void
    {
        Storage::fake();
        $drawings = app(Drawings::class);
        $addresses = array_map(fn (int $seed) => $drawings->address(self::small($seed)), [1, 2, 3]);
        foreach ($addresses as $n => $address) {
            $this->api(null, 'GET', "drawn/$address", null, 200)->assertJson(['state' => 'ready']);
            Drawing::query()->whereKey(explode('/', $address)[0])->update(['ready_at' => now()->addSeconds($n)]);
        }
        $drawings->makeRoom(2);
        self::assertCount(2, Storage::disk()->allFiles('booth'));
        $states = array_map(fn (string $a) => Drawing::query()->find(explode('/', $a)[0])?->state, $addresses);
        self::assertSame([null, 'ready', 'ready'], $states);
        // A page that is read again has it made anew.
        self::assertSame($addresses[0], $drawings->address(self::small(1)));
        $this->api(null, 'GET', "drawn/$addresses[0]", null, 200)->assertJson(['state' => 'ready']);
    }

    public function test_the_sheet_a_link_and_a_plan_say_where_drawings_are(): void
    {
        Queue::fake();
        $sheet = $this->api('lead', 'GET', 'standard/comparison?sculpt=sluice-warden', null, 200);
        $drawn = array_column($sheet->json('rungs'), 'drawn');
        self::assertCount(5, array_unique(array_column($drawn, 'front')));
        self::assertCount(5, array_unique(array_column($drawn, 'back')));
        $secret = basename(
            $this->api('lead', 'POST', 'shares', ['sculpt' => 'sluice-warden', 'prices' => false, 'days' => 3], 201)
                ->json('path'),
        );
        $shared = $this->api(null, 'GET', "shared/$secret", null, 200);
        self::assertSame($drawn, array_column($shared->json('rungs'), 'drawn'));
        $this->api(null, 'GET', "drawn/{$drawn[0]['front']}", null, 200)->assertJson(['state' => 'waiting']);
        $unit = $this->unit('26-041');
        $finished = $this->api('painter', 'GET', "units/$unit->id/drawn", null, 200);
        $half = $this->api('painter', 'GET', "units/$unit->id/drawn?passes=5", null, 200);
        $other = $this->api('painter', 'GET', "units/$unit->id/drawn?piece=2", null, 200);
        self::assertGreaterThan(10, $finished->json('passes'));
        $addresses = [$finished->json('drawn.front'), $half->json('drawn.front'), $other->json('drawn.front')];
        self::assertCount(3, array_unique($addresses));
        $this->api('painter', 'GET', "units/$unit->id/drawn?passes=-1", null, 422);
        Queue::assertPushed(DrawPicture::class, 1);
    }

    private static function small(int $seed = 1): BoothRequest
    {
        $coats = [
            new Coat(null, Mark::Undercoat, Extent::Full, null, false),
            new Coat('coat', Mark::Cover, Extent::Full, Srgb::fromHex('#31665a'), true),
        ];

        return new BoothRequest(Demo::sculpt(), $coats, width: 120, seed: $seed);
    }
}
