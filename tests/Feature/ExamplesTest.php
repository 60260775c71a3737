<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Example;
use App\Models\Photograph;
use App\Models\Piece;
use App\Pictures\FinishExamples;
use App\Pictures\Png;
use App\Studio\Pictures;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Extent;
use Tests\Support\Demo;

/** What a limit looks like, and details of signed-off work that show a tier. */
final class ExamplesTest extends StudioTestCase
{
    public function test_a_limit_is_shown_by_examples_of_which_some_would_pass(): void
    {
        $low = $this->api('desk', 'GET', 'standard/limits?criterion=tonal_span&limit=26', null, 200);
        self::assertSame('25.0 L*', $low->json('light_alone'));
        $passes = array_column($low->json('data'), 'passes', 'name');
        self::assertFalse($passes['bare undercoat']);
        self::assertFalse($passes['one flat coat']);
        self::assertTrue($passes['a coat and a wash']);
        $high = $this->api('lead', 'GET', 'standard/limits?criterion=tonal_span&limit=40', null, 200);
        self::assertFalse(array_column($high->json('data'), 'passes', 'name')['a coat and a wash']);
        $lines = $this->api('lead', 'GET', 'standard/limits?criterion=line_width&limit=0.5', null, 200);
        self::assertNull($lines->json('light_alone'));
        self::assertSame(
            ['a fine line' => true, 'a wider line' => true, 'a wide line' => false, 'a very wide line' => false],
            array_column($lines->json('data'), 'passes', 'name'),
        );
        self::assertSame([], $this->api('lead', 'GET', 'standard/limits?criterion=last_light&limit=1', null, 200)->json('data'));
        $this->api('lead', 'GET', 'standard/limits?criterion=mood&limit=1', null, 422);
        $this->api('lead', 'GET', 'standard/limits?criterion=tones', null, 422);
    }

    public function test_the_table_of_examples_is_what_is_measured_of_them(): void
    {
        $written = json_decode((string) file_get_contents(database_path(FinishExamples::FILE)), true);
        $measured = (new FinishExamples())->measured();
        $drawn = array_filter(Criterion::cases(), fn (Criterion $c) => FinishExamples::of($c) !== []);
        self::assertEqualsCanonicalizing(array_map(fn (Criterion $c) => $c->value, $drawn), array_keys($measured));
        foreach ($measured as $criterion => $examples) {
            self::assertSame(FinishExamples::of(Criterion::from($criterion)), array_keys($examples), $criterion);
            foreach ($examples as $example => $value) {
                // Another machine may differ by a level here and there.
                $by = Criterion::from($criterion) === Criterion::HardStep ? 0.1 : max(0.1, 0.04 * abs($value));
                self::assertEqualsWithDelta($written['values'][$criterion][$example], $value, $by, "$criterion $example");
            }
        }
    }

    public function test_a_detail_of_a_signed_model_is_cut_out_and_kept_once(): void
    {
        Storage::fake();
        $piece = Piece::query()
            ->where('stage', 'signed')
            ->with('unit.sculpt')
            ->firstOrFail();
        $sculpt = Demo::sculpt($piece->unit->sculpt->slug);
        $photograph = $this->photographed($piece);
        $from = $this->api('desk', 'GET', 'standard/examples', null, 200);
        self::assertSame([], $from->json('kept'));
        self::assertSame([$photograph->id], array_column($from->json('from'), 'id'));
        $area = $sculpt->areas[0];
        self::assertContains($area->key, array_column($from->json('from.0.areas'), 'key'));
        $body = ['photograph' => $photograph->id, 'area' => $area->key];
        $this->api('lead', 'POST', 'standard/examples', ['area' => 'nowhere'] + $body, 422);
        $this->api('lead', 'POST', 'standard/examples', $body, 201);
        $again = $this->api('lead', 'POST', 'standard/examples', $body, 201);
        self::assertCount(1, $again->json('kept'));
        self::assertSame($area->name, $again->json('kept.0.area'));
        $kept = Example::query()->sole();
        self::assertSame($piece->unit->tier, $kept->tier);
        [$width, $height] = getimagesizefromstring(
            (string) Storage::disk()->get('pictures/'.substr($kept->sha256, 0, 2)."/$kept->sha256"),
        ) ?: [0, 0];
        $xs = array_merge(...array_map(fn (array $ring) => array_column($ring, 0), $area->outline['front']));
        // The box about its outlines, with eight in a hundred more on every side.
        $wide = 240 * (max($xs) - min($xs));
        self::assertGreaterThan($wide, $width);
        self::assertLessThan(1.5 * $wide + 20, $width);
        self::assertGreaterThan(10, $height);
        $this->isShownToClients($piece, $kept);
        $this->api('lead', 'DELETE', "standard/examples/$kept->id", null, 204);
        $this->api('lead', 'DELETE', "standard/examples/$kept->id", null, 404);
        self::assertSame(1, Photograph::query()->count());
    }

    public function test_only_what_is_signed_off_and_placed_gives_examples(): void
    {
        Storage::fake();
        $piece = Piece::query()->where('stage', 'offered')->with('unit.sculpt')->firstOrFail();
        $photograph = $this->photographed($piece);
        $body = ['photograph' => $photograph->id, 'area' => Demo::sculpt($piece->unit->sculpt->slug)->areas[0]->key];
        $said = $this->api('lead', 'POST', 'standard/examples', $body, 422)->json('errors.0.detail');
        self::assertStringContainsString('signed off', (string) $said);
        Piece::query()->whereKey($piece->id)->update(['stage' => 'signed']);
        $photograph->update(['placement' => null]);
        $this->api('lead', 'POST', 'standard/examples', $body, 422);
        self::assertSame([], $this->api('lead', 'GET', 'standard/examples', null, 200)->json('from'));
    }

    /** Behind a link to an order or a sheet it is seen, and nothing else that is kept; withdrawn, it is not. */
    private function isShownToClients(Piece $piece, Example $kept): void
    {
        Queue::fake();
        $order = $piece->unit->order_id;
        $made = $this->api('lead', 'POST', "orders/$order/links", null, 201);
        $secret = basename($made->json('path'));
        $unit = collect($this->api(null, 'GET', "for-you/$secret", null, 200)->json('units'))
            ->firstWhere('examples', '!=', []);
        self::assertSame($kept->sha256, $unit['examples'][0]['sha256']);
        $this->api(null, 'GET', "for-you/$secret/pictures/$kept->sha256", null, 200)
            ->assertHeader('Content-Type', 'image/png');
        $whole = Photograph::query()->sole()->sha256;
        // Of their own signed model a client sees the whole photograph, by no other address.
        $this->api(null, 'GET', "for-you/$secret/pictures/$whole", null, 200);
        $this->api(null, 'GET', "shared/$secret/pictures/$whole", null, 404);
        $this->api(null, 'GET', 'shared/'.str_repeat('0', 32)."/pictures/$kept->sha256", null, 404);
        $slug = $piece->unit->sculpt->slug;
        $sheet = $this->api('lead', 'GET', "standard/comparison?sculpt=$slug", null, 200)->json('rungs');
        self::assertSame([$kept->sha256], array_column(array_merge(...array_column($sheet, 'examples')), 'sha256'));
        $this->api('lead', 'DELETE', "shares/{$made->json('id')}", null, 204);
        $this->api(null, 'GET', "shared/$secret/pictures/$kept->sha256", null, 404);
        $beside = $this->api('painter', 'GET', "pieces/$piece->id/photographs", null, 200);
        self::assertSame([$kept->sha256], array_column($beside->json('examples'), 'sha256'));
    }

    private function photographed(Piece $piece): Photograph
    {
        $sculpt = Demo::sculpt($piece->unit->sculpt->slug);
        $coats = [new Coat(null, Mark::Undercoat, Extent::Full, null, false)];
        $picture = (new Booth())->draw(new BoothRequest($sculpt, $coats, width: 240));
        [$left, $right, $top] = Placement::marks($sculpt, View::Front);
        $at = fn (array $m): array => [$m[0] * $picture->width, $m[1] * $picture->height];
        $this->actingAs($this->person('painter'));

        return Photograph::query()->create([
            'piece_id' => $piece->id,
            'view' => 'front',
            'sha256' => app(Pictures::class)->take(Png::of($picture))->sha256,
            'placement' => ['base_left' => $at($left), 'base_right' => $at($right), 'top' => $at($top), 'card' => null],
            'made_by' => $this->person('painter')->id,
        ]);
    }
}
