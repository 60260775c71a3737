<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\MeasurePhotograph;
use App\Models\Photograph;
use App\Models\Piece;
use App\Pictures\Png;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Booth\Booth;
use Ordotype\Core\Booth\BoothPicture;
use Ordotype\Core\Booth\BoothRequest;
use Ordotype\Core\Booth\Coat;
use Ordotype\Core\Booth\Mark;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Extent;
use Tests\Support\Demo;

/** Photographs of models: kept, placed, measured, taken away; what is no photograph changes nothing. */
final class PhotographsTest extends StudioTestCase
{
    public function test_a_photograph_is_kept_placed_measured_and_its_placement_begins_the_next(): void
    {
        Storage::fake();
        $piece = $this->open();
        $picture = self::drawn(Demo::sculpt());
        $sha = $this->sent(Png::of($picture));
        $none = $this->api('painter', 'GET', "pieces/$piece->id/photographs", null, 200);
        self::assertSame([], $none->json('data'));
        self::assertCount(2, $none->json('marks.front.base_left'));
        $kept = $this->api('painter', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        $kept->assertJson(['state' => 'kept', 'placement' => null, 'areas' => [], 'width' => $picture->width]);
        $mark = fn (string $key): array => [
            $none->json("marks.front.$key.0") * $picture->width,
            $none->json("marks.front.$key.1") * $picture->height,
        ];
        [$left, $top, $side] = $picture->card;
        $in = intdiv($side, 5);
        $placement = [
            'base_left' => $mark('base_left'),
            'base_right' => $mark('base_right'),
            'top' => $mark('top'),
            'card' => [$left + $in, $top + $side + $in, $left + $side - $in, $top + 2 * $side - $in],
        ];
        $path = "photographs/{$kept->json('id')}/placement";
        $this->api('painter', 'PUT', $path, ['top' => $placement['base_left']] + $placement, 422)->assertJsonPath(
            'errors.0.pointer',
            '/top',
        );
        $this->api('painter', 'PUT', $path, ['top' => 'here'] + $placement, 422);
        self::assertSame('kept', Photograph::query()->findOrFail($kept->json('id'))->state);
        $placed = $this->api('painter', 'PUT', $path, $placement, 200);
        self::assertSame('measured', $placed->json('state'), (string) $placed->json('said'));
        $areas = array_column($placed->json('areas'), null, 'area');
        self::assertGreaterThan(3000, $areas['coat']['pixels']);
        self::assertGreaterThan(5, $areas['coat']['contrast']['value']);
        self::assertSame('too small', $areas['eyes']['why']);
        $next = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        self::assertEquals($placed->json('placement'), $next->json('placement'), 'the last placement begins the next');
        self::assertSame('kept', $next->json('state'), 'but nobody has looked at it yet');
        $back = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'back'], 201);
        self::assertNull($back->json('placement'));
        $this->api('lead', 'DELETE', "photographs/{$next->json('id')}", null, 204);
        $this->api('lead', 'DELETE', "photographs/{$next->json('id')}", null, 404);
        self::assertCount(2, $this->api('lead', 'GET', "pieces/$piece->id/photographs", null, 200)->json('data'));
    }

    public function test_what_cannot_be_measured_says_why_and_a_card_beside_the_picture_is_told(): void
    {
        Storage::fake();
        Queue::fake();
        $piece = $this->open();
        $sha = $this->sent(Png::of(self::drawn(Demo::sculpt())));
        $kept = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        $placement = ['base_left' => [30, 280], 'base_right' => [190, 280], 'top' => [110, 30], 'card' => [900, 1, 920, 20]];
        $path = "photographs/{$kept->json('id')}/placement";
        $this->api('lead', 'PUT', $path, $placement, 200)->assertJson(['state' => 'waiting', 'areas' => []]);
        Queue::assertPushedOn('pictures', MeasurePhotograph::class);
        app()->call((new MeasurePhotograph($kept->json('id')))->handle(...));
        $said = $this->api('lead', 'GET', "pieces/$piece->id/photographs", null, 200)->json('data.0');
        self::assertSame('failed', $said['state']);
        self::assertStringContainsString('outside of the photograph', $said['said']);
        // Taken away while it waits: the worker finds nothing to do.
        $this->api('lead', 'DELETE', "photographs/{$kept->json('id')}", null, 204);
        app()->call((new MeasurePhotograph($kept->json('id')))->handle(...));
        self::assertSame(0, Photograph::query()->count());
    }

    public function test_what_is_signed_keeps_its_photographs_and_strange_files_are_none(): void
    {
        Storage::fake();
        $piece = $this->open();
        $png = Png::of(self::drawn(Demo::sculpt()));
        $sha = $this->sent($png);
        foreach ([['sha256' => str_repeat('0', 64), 'view' => 'front'], ['sha256' => $sha, 'view' => 'moon'], []] as $bad) {
            $this->api('lead', 'POST', "pieces/$piece->id/photographs", $bad, 422);
        }
        foreach (['<script>alert(1)</script>', substr($png, 0, 200), "PK\3\4".str_repeat('x', 400)] as $strange) {
            $this->upload($strange)->assertStatus(422);
        }
        $kept = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        $signed = Piece::query()->where('stage', 'signed')->firstOrFail();
        Photograph::query()->whereKey($kept->json('id'))->update(['piece_id' => $signed->id]);
        $this->api('lead', 'DELETE', "photographs/{$kept->json('id')}", null, 409);
        $this->api('lead', 'POST', "pieces/$signed->id/photographs", ['sha256' => $sha, 'view' => 'front'], 409);
        self::assertSame(1, Photograph::query()->count());
    }

    /** A Sluice Warden that is not signed off. */
    private function open(): Piece
    {
        return Piece::query()
            ->whereHas('unit.sculpt', fn ($q) => $q->where('slug', 'sluice-warden'))
            ->whereNotIn('stage', ['signed', 'delivered'])
            ->firstOrFail();
    }

    private static function drawn(Sculpt $sculpt): BoothPicture
    {
        $coats = [new Coat(null, Mark::Undercoat, Extent::Full, null, false)];
        foreach ($sculpt->areas as $area) {
            $coats[] = new Coat($area->key, Mark::Cover, Extent::Full, Srgb::fromHex('#8a4a35'), true);
        }

        return (new Booth())->draw(new BoothRequest($sculpt, $coats, width: 240));
    }

    private function sent(string $bytes): string
    {
        return (string) $this->upload($bytes)->assertCreated()->json('sha256');
    }

    private function upload(string $bytes): \Illuminate\Testing\TestResponse
    {
        $this->actingAs($this->person('painter'));

        return $this->post('/api/v1/pictures', ['picture' => UploadedFile::fake()->createWithContent('p.png', $bytes)], [
            'Accept' => 'application/json',
        ]);
    }
}
