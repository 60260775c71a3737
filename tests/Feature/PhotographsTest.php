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
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothPicture;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
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
        $kept->assertJson(['state' => 'kept', 'drawn' => true, 'areas' => [], 'width' => $picture->width]);
        // Found by itself, for a person to look at: within a millimetre and a half.
        $found = $kept->json('placement');
        foreach (['base_left', 'base_right', 'top'] as $key) {
            $mark = $none->json("marks.front.$key");
            $off = hypot($found[$key][0] - $mark[0] * $picture->width, $found[$key][1] - $mark[1] * $picture->height);
            self::assertLessThan(1.5 * $picture->scale, $off, $key);
        }
        [$left, $top, $side] = $picture->card;
        self::assertGreaterThanOrEqual($left, $found['card'][0]);
        self::assertLessThanOrEqual($left + $side, $found['card'][2]);
        self::assertGreaterThanOrEqual($top + $side, $found['card'][1]);
        self::assertLessThanOrEqual($top + 2 * $side, $found['card'][3]);
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
            'revision' => 0,
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
        $shifted = ['shifts' => ['hook' => [6, 0]], 'revision' => 1] + $placement;
        $placed = $this->api('painter', 'PUT', $path, $shifted, 200);
        self::assertEquals(['hook' => [6, 0]], $placed->json('placement.shifts'));
        $moved = array_column($placed->json('areas'), null, 'area');
        self::assertNotEquals($areas['hook']['contrast'], $moved['hook']['contrast'], 'it lies elsewhere by itself');
        self::assertEquals($areas['boots'], $moved['boots']);
        $this->api('painter', 'PUT', $path, ['shifts' => ['hook' => ['far', 0]], 'revision' => 2] + $placement, 422);
        $next = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        self::assertEquals($placed->json('placement'), $next->json('placement'), 'the last placement begins the next');
        self::assertSame('kept', $next->json('state'), 'but nobody has looked at it yet');
        $back = $this->api('lead', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'back'], 201);
        self::assertNotEquals($placed->json('placement'), $back->json('placement'), 'another side is another set-up');
        // In a picture of another size the points lie elsewhere: they are found anew there.
        $larger = self::drawn(Demo::sculpt(), 320);
        $as = ['sha256' => $this->sent(Png::of($larger)), 'view' => 'front'];
        $anew = $this->api('painter', 'POST', "pieces/$piece->id/photographs", $as, 201);
        $off = abs($anew->json('placement.base_left.0') - $none->json('marks.front.base_left.0') * $larger->width);
        self::assertLessThan(1.5 * $larger->scale, $off);
        $this->api('lead', 'DELETE', "photographs/{$anew->json('id')}", null, 204);
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
        $placement = ['base_left' => [30, 280], 'base_right' => [190, 280], 'top' => [110, 30], 'card' => [900, 1, 920, 20], 'revision' => 0];
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

    public function test_two_people_lay_one_photograph_and_the_second_is_told(): void
    {
        Storage::fake();
        Queue::fake();
        $piece = $this->open();
        $picture = self::drawn(Demo::sculpt());
        $id = $this->photographed($piece, $picture);
        $row = Photograph::query()->findOrFail($id);
        self::assertSame(1, $row->revision);
        $again = $this->api('lead', 'PUT', "photographs/$id/placement", ($row->placement ?? []) + ['revision' => 0], 409);
        self::assertSame(1, $again->json('current.revision'));
        // What the worker finds of a placement that was laid anew meanwhile is not kept.
        Photograph::query()->whereKey($id)->update(['revision' => 5, 'state' => 'waiting']);
        $row->revision = 1;
        app()->call([app(\App\Pictures\Measuring::class), 'measure'], ['photograph' => $row]);
        self::assertSame('waiting', Photograph::query()->findOrFail($id)->state);
    }

    public function test_a_figure_in_undercoat_takes_the_light_out_and_what_waits_is_measured_anew(): void
    {
        Storage::fake();
        $piece = $this->open();
        $picture = self::drawn(Demo::sculpt(), 300);
        $id = $this->photographed($piece, $picture);
        $starkness = fn (): array => array_map(
            fn (array $a) => $a['tones'] ?? null,
            array_column(
                $this->api('painter', 'GET', "pieces/$piece->id/photographs", null, 200)->json('data.0.areas'),
                null,
                'area',
            ),
        );
        $lit = $starkness();
        $bare = (new Booth())->draw(
            new BoothRequest(Demo::sculpt(), [new Coat(null, Mark::Undercoat, Extent::Full, null, false)], width: 300),
        );
        $sha = $this->sent(Png::of($bare));
        $path = 'sculpts/sluice-warden/photographs';
        $this->api('lead', 'POST', $path, ['sha256' => $sha, 'view' => 'left', 'shows' => 'bare'], 422);
        $this->api('lead', 'POST', $path, ['sha256' => $sha, 'view' => 'front', 'shows' => 'painted'], 422);
        $kept = $this->api('painter', 'POST', $path, ['sha256' => $sha, 'view' => 'front', 'shows' => 'undercoated'], 201);
        self::assertSame('kept', $kept->json('state'));
        $placed = $this->api(
            'painter',
            'PUT',
            "photographs/{$kept->json('id')}/placement",
            $this->placement($piece, $bare),
            200,
        );
        self::assertSame(['kept', []], [$placed->json('state'), $placed->json('areas')]);
        // One flat coat: with the light divided out no area has two tones.
        self::assertNotSame($lit, $starkness());
        self::assertSame([1], array_values(array_unique(array_filter($starkness()))));
        $all = $this->api('lead', 'GET', $path, null, 200);
        self::assertSame(['undercoated'], array_column($all->json('data'), 'shows'));
        $this->api('lead', 'DELETE', "photographs/{$kept->json('id')}", null, 204);
        self::assertSame($id, Photograph::query()->sole()->id);
    }

    public function test_a_figure_that_breaks_a_clause_raises_its_question_and_a_person_answers_it(): void
    {
        Storage::fake();
        $check = \App\Models\Check::query()->whereNull('closed_at')->with('piece.unit.sculpt')->firstOrFail();
        $piece = $check->piece;
        $sculpt = Demo::sculpt($piece->unit->sculpt->slug);
        // Flat paint in the undercoat's grey, and so without the contrast that every tier asks for.
        $picture = self::drawn($sculpt, 480, '#3a3b3d');
        $this->photographed($piece, $picture);
        $answers = $check->answers()->count();
        $shown = $this->api('painter', 'GET', "pieces/$piece->id/photographs", null, 200)->json('held');
        $broken = array_values(array_filter($shown, fn (array $h) => ! $h['is_met']));
        self::assertNotSame([], $broken);
        $contrast = array_values(
            array_filter($broken, fn (array $h) => $h['says'] === 'less contrast than the tier asks'),
        );
        self::assertNotSame([], $contrast);
        self::assertMatchesRegularExpression('/^[\d.]+ L\*, at least [\d.]+ L\*$/', $contrast[0]['figures']);
        $questions = array_column($check->questions, null, 'key');
        foreach ($contrast as $held) {
            self::assertContains($held['area'], $questions[$held['question']]['areas']);
            self::assertSame('front', $questions[$held['question']]['view']);
        }
        self::assertSame($answers, $check->answers()->count(), 'evidence, never an answer');
    }

    public function test_models_are_compared_with_the_test_model_the_worst_area_first(): void
    {
        Storage::fake();
        $unit = $this->open()->unit;
        $pieces = $unit->pieces->whereNotIn('stage', ['signed', 'delivered'])->values();
        self::assertGreaterThan(2, $pieces->count());
        $none = $this->api('painter', 'GET', "units/$unit->id/evenness", null, 200);
        self::assertSame([null], array_values(array_unique(array_column($none->json('models'), 'off'))));
        foreach (['#8a4a35', '#8a4a35', '#4a6a75'] as $k => $coat) {
            $this->photographed($pieces[$k], self::drawn(Demo::sculpt(), 300, '#8a4a35', ['coat' => $coat], $k + 1));
        }
        [$test, $same, $off] = [$pieces[0]->number, $pieces[1]->number, $pieces[2]->number];
        $this->api('painter', 'PUT', "units/$unit->id/test-model", ['model' => 9999], 404);
        $even = $this->api('painter', 'PUT', "units/$unit->id/test-model", ['model' => $test], 200);
        self::assertSame($test, $even->json('test_model'));
        $models = array_column($even->json('models'), null, 'number');
        self::assertSame(['Oilskin coat', false, false], [
            $models[$off]['off'][0]['name'],
            $models[$off]['off'][0]['is_met'],
            $models[$off]['off'][0]['is_same'],
        ]);
        self::assertGreaterThan(20.0, $models[$off]['off'][0]['delta_e']);
        self::assertTrue($models[$same]['off'][0]['is_same'], 'the same paint by another brush');
        self::assertSame(0, (int) $models[$test]['off'][0]['delta_e']);
        $this->api('painter', 'PUT', "units/$unit->id/test-model", ['model' => null], 200);
        self::assertNull($unit->refresh()->test_piece_id);
    }

    /** Kept and placed where the drawing's frame is; the id. */
    private function photographed(Piece $piece, BoothPicture $picture): int
    {
        $sha = $this->sent(Png::of($picture));
        $kept = $this->api('painter', 'POST', "pieces/$piece->id/photographs", ['sha256' => $sha, 'view' => 'front'], 201);
        $path = "photographs/{$kept->json('id')}/placement";
        $this->api('painter', 'PUT', $path, $this->placement($piece, $picture), 200);

        return (int) $kept->json('id');
    }

    /** @return array<string, mixed> */
    private function placement(Piece $piece, BoothPicture $picture): array
    {
        $marks = $this->api('painter', 'GET', "pieces/$piece->id/photographs", null, 200)->json('marks.front');
        [$left, $top, $side] = $picture->card;
        $in = max(1, intdiv($side, 5));

        return array_map(fn (array $m) => [$m[0] * $picture->width, $m[1] * $picture->height], $marks) + [
            'card' => [$left + $in, $top + $side + $in, $left + $side - $in, $top + 2 * $side - $in],
            'revision' => 0,
        ];
    }

    /** A Sluice Warden that is not signed off. */
    private function open(): Piece
    {
        return Piece::query()
            ->whereHas('unit.sculpt', fn ($q) => $q->where('slug', 'sluice-warden'))
            ->whereNotIn('stage', ['signed', 'delivered'])
            ->firstOrFail();
    }

    /** @param  array<string, string>  $but  colours of single areas */
    private static function drawn(
        Sculpt $sculpt,
        int $width = 240,
        string $colour = '#8a4a35',
        array $but = [],
        int $seed = 1,
    ): BoothPicture {
        $coats = [new Coat(null, Mark::Undercoat, Extent::Full, null, false)];
        foreach ($sculpt->areas as $area) {
            $hex = $but[$area->key] ?? $colour;
            $coats[] = new Coat($area->key, Mark::Cover, Extent::Full, Srgb::fromHex($hex), true);
        }

        return (new Booth())->draw(new BoothRequest($sculpt, $coats, width: $width, seed: $seed));
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
