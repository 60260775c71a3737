<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Paint;
use App\Models\Scheme;
use App\Models\Sculpt;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use stdClass;

/** Schemes in versions, maps of figures, and the pictures they are made from. */
final class SchemesAndMapsTest extends StudioTestCase
{
    public function test_a_paint_put_on_the_shelf_by_hand_can_be_chosen_and_is_refused_where_it_cannot_be_one(): void
    {
        $paint = ['name' => 'Fen Ochre', 'kind' => 'opaque', 'hex' => '#B08A3C', 'hiding' => 'low', 'ml' => 17.5];
        $this->api('lead', 'POST', 'paints', $paint, 201)->assertJson(['hex' => '#b08a3c', 'ml' => 17.5]);
        $found = $this->api('desk', 'GET', 'paints?find=ochre', null, 200)->json('data');
        self::assertContains('Fen Ochre', array_column($found, 'name'));
        $slug = $this->api('lead', 'GET', 'schemes', null, 200)->json('data.0.slug');
        $offered = $this->api('lead', 'GET', "schemes/$slug", null, 200)->json('paints');
        self::assertContains('Fen Ochre', array_column($offered, 'name'));

        $refused = fn (array $with, string $pointer) => self::assertSame(
            $pointer,
            $this->api('lead', 'POST', 'paints', $with + $paint, 422)->json('errors.0.pointer'),
        );
        $refused([], '/name');
        $refused(['name' => '#b08a3c'], '/name');
        $refused(['name' => 'Other', 'hex' => 'b08a3c'], '/hex');
        $refused(['name' => 'Other', 'hiding' => 'well'], '/hiding');
        $refused(['name' => 'Other', 'ml' => -1], '/ml');
        $refused(['name' => 'Other', 'kind' => 'spray'], '/kind');
    }

    public function test_a_scheme_is_shown_slot_by_slot_over_the_figures_of_an_order(): void
    {
        self::assertContains(
            'tidemark',
            array_column($this->api('desk', 'GET', 'schemes', null, 200)->json('data'), 'slug'),
        );
        $order = $this->unit('26-041')->order_id;
        $scheme = $this->api('lead', 'GET', "schemes/tidemark?order=$order", null, 200);
        self::assertSame(['Sluice Warden', 'Lantern Provost'], array_column($scheme->json('figures'), 'name'));
        $cloth = collect($scheme->json('slots'))->firstWhere('slot', 'main cloth');
        self::assertContains('Sluice Warden: Oilskin coat', $cloth['places']);
        self::assertCount(count($cloth['colours']['shades']) + count($cloth['colours']['lights']), $cloth['steps']);
        $document = $scheme->json('document');
        $document['slots']['main cloth']['lights'] = ['Bilge Green', 'Foam Green'];
        $document['areas'] = (object) $document['areas'];
        $tried = $this->api('lead', 'POST', 'schemes/try', ['document' => $document, 'order' => $order], 200);
        self::assertStringContainsString(
            'not lighter',
            implode(' ', collect($tried->json('slots'))->firstWhere('slot', 'main cloth')['problems']),
        );
        $document['slots']['main cloth']['base'] = '#zz';
        $this->api('lead', 'POST', 'schemes/try', ['document' => $document], 422);
    }

    public function test_what_was_painted_from_stays_and_a_rejected_test_model_makes_the_next_version(): void
    {
        $scheme = $this->api('lead', 'GET', 'schemes/tidemark', null, 200);
        self::assertSame(1, $scheme->json('number'));
        $document = $scheme->json('document');
        $document['areas'] = (object) $document['areas'];
        $document['slots']['main cloth']['base'] = 'Indigo Cloth';
        // The demo has units on the bench in version 1: it stays, and the change is version 2.
        $edited = $this->api(
            'lead',
            'PUT',
            'schemes/tidemark',
            ['number' => 1, 'document' => $document, 'note' => 'Blue coats.'],
            200,
        );
        self::assertSame(
            [2, ['untried', 'untried']],
            [$edited->json('number'), array_column($edited->json('versions'), 'outcome')],
        );
        $this->api('lead', 'PUT', 'schemes/tidemark', ['number' => 1, 'document' => $document], 409)->assertJsonPath(
            'current.number',
            2,
        );
        $coat = fn (string $order): ?string => collect(
            $this->api('lead', 'GET', "units/{$this->unit($order)->id}/plan", null, 200)->json('figure'),
        )->firstWhere('slot', null) === null
            ? null
            : collect(
                $this->api('lead', 'GET', "units/{$this->unit($order)->id}/plan", null, 200)->json('figure'),
            )->firstWhere('key', 'coat')['paint'];
        self::assertSame('Indigo Cloth', $coat('26-041'));
        self::assertSame(
            'Bilge Green',
            $coat('26-033'),
            'what is on the bench keeps the version it was released with',
        );
        // Untouched so far, version 2 is changed in place.
        $document['slots']['main cloth']['base'] = 'Dusk Blue';
        self::assertSame(
            2,
            $this->api('lead', 'PUT', 'schemes/tidemark', ['number' => 2, 'document' => $document], 200)->json(
                'number',
            ),
        );
        $this->api('lead', 'POST', 'schemes/tidemark/outcome', ['outcome' => 'rejected'], 422)->assertJsonPath(
            'errors.0.pointer',
            '/note',
        );
        $test = $this->unit('26-033')->pieces()->firstOrFail();
        $judged = $this->api(
            'lead',
            'POST',
            'schemes/tidemark/outcome',
            ['outcome' => 'rejected', 'note' => 'Too dark on the table.', 'piece' => $test->id],
            200,
        );
        self::assertSame(3, $judged->json('number'));
        self::assertSame('rejected', $judged->json('versions.1.outcome'));
        self::assertGreaterThan(10, $judged->json('versions.1.repaint_minutes'));
        $accepted = $this->api('lead', 'POST', 'schemes/tidemark/outcome', ['outcome' => 'accepted'], 200);
        self::assertSame('accepted', $accepted->json('versions.0.outcome'));
        $this->api('lead', 'POST', 'schemes/tidemark/outcome', ['outcome' => 'accepted'], 409);
        self::assertSame(
            4,
            $this->api('lead', 'PUT', 'schemes/tidemark', ['number' => 3, 'document' => $document], 200)->json(
                'number',
            ),
            'what was accepted stays as it was',
        );
    }

    public function test_a_new_scheme_is_made_and_given_to_an_order_that_is_not_on_the_bench(): void
    {
        $made = $this->api(
            'lead',
            'POST',
            'schemes',
            ['document' => ['name' => 'Night tide', 'slots' => (object) [], 'areas' => (object) []]],
            201,
        );
        self::assertSame('night-tide', $made->json('slug'));
        self::assertContains('The scheme has no colours for this yet.', $made->json('slots.0.problems'));
        $this->api(
            'lead',
            'POST',
            'schemes',
            ['document' => ['name' => 'Night Tide', 'slots' => (object) [], 'areas' => (object) []]],
            422,
        )->assertJsonPath('errors.0.pointer', '/document/name');
        $order = $this->unit('26-041')->order_id;
        $this->api('desk', 'PUT', "orders/$order/scheme", ['scheme' => 'night-tide'], 200)->assertJsonPath(
            'scheme',
            'night-tide',
        );
        self::assertSame(1, Scheme::query()->where('slug', 'night-tide')->firstOrFail()->orders()->count());
        $this->api('lead', 'PUT', "orders/{$this->unit('26-033')->order_id}/scheme", ['scheme' => 'night-tide'], 409);
    }

    public function test_a_map_is_made_from_a_schematic_checked_and_kept(): void
    {
        $list = $this->api('lead', 'GET', 'templates', null, 200);
        self::assertEqualsCanonicalizing(
            ['figure', 'mounted', 'monster', 'vehicle'],
            array_column($list->json('data'), 'key'),
        );
        $template = Json::decode(Json::encode($this->template('figure')));
        assert($template instanceof stdClass);
        $template->name = 'Wharf Runner';
        $tried = $this->try($template);
        self::assertSame([], $tried->json('problems'));
        self::assertEqualsWithDelta(100.0, array_sum($tried->json('shares')), 1e-6);
        $broken = Json::decode(Json::encode($template));
        assert($broken instanceof stdClass);
        $broken->areas[0]->share_pct = 90;
        $broken->areas[1]->material = 'cheese';
        $problems = $this->try($broken)->json('problems');
        self::assertContains("{$broken->areas[1]->name}, material", array_column($problems, 'where'));
        $broken->areas[1]->material = 'cloth';
        $uneven = $this->try($broken);
        self::assertSame(['The areas'], array_values(array_unique(array_column($uneven->json('problems'), 'where'))));
        self::assertEqualsWithDelta(
            100.0,
            array_sum($uneven->json('shares')),
            1e-6,
            'what the outlines propose is told all the same',
        );
        $made = $this->call2('POST', 'sculpts', ['document' => $template], 201);
        self::assertSame('wharf-runner', $made->json('slug'));
        $this->call2('POST', 'sculpts', ['document' => $broken], 422);
        $template->areas[0]->name = 'Long coat';
        $kept = $this->call2('PUT', 'sculpts/wharf-runner', ['revision' => 1, 'document' => $template], 200);
        self::assertSame([2, 'Long coat'], [$kept->json('revision'), $kept->json('document.areas.0.name')]);
        $this->call2('PUT', 'sculpts/wharf-runner', ['revision' => 1, 'document' => $template], 409)->assertJsonPath(
            'current.revision',
            2,
        );
        // Export of an import is equal to it.
        $export = $this->actingAs($this->person('desk'))->get('/api/v1/sculpts/wharf-runner/export')->assertOk();
        self::assertEquals($template, json_decode((string) $export->getContent()));
        self::assertEquals(
            SculptFormat::write(SculptFormat::read($template)),
            SculptFormat::write(SculptFormat::read(Json::decode((string) $export->getContent()))),
        );
    }

    public function test_what_is_painted_from_a_map_keeps_its_areas_while_outlines_can_be_bettered(): void
    {
        $sculpt = Sculpt::query()->where('slug', 'sluice-warden')->firstOrFail();
        $document = Json::decode($sculpt->document);
        assert($document instanceof stdClass);
        $document->areas[0]->outline->front[0][0] = [0.41, 0.35];
        $this->call2('PUT', 'sculpts/sluice-warden', ['revision' => $sculpt->revision, 'document' => $document], 200);
        $document->areas[0]->focus = 3;
        $refused = $this->call2(
            'PUT',
            'sculpts/sluice-warden',
            ['revision' => $sculpt->revision + 1, 'document' => $document],
            409,
        );
        self::assertStringContainsString('painted from this map', $refused->json('detail'));
    }

    public function test_pictures_are_decoded_and_written_anew_and_what_is_none_is_refused(): void
    {
        Storage::fake('local');
        $this->actingAs($this->person('lead'));
        $send = fn (UploadedFile $file): TestResponse => $this->post(
            '/api/v1/pictures',
            ['picture' => $file],
            ['Accept' => 'application/json'],
        );
        $jpeg = UploadedFile::fake()->image('figure.jpg', 640, 480);
        $bytes = (string) file_get_contents($jpeg->getRealPath());
        // A comment segment with something active in it, as a camera might leave its data there.
        file_put_contents(
            $jpeg->getRealPath(),
            substr($bytes, 0, 2)."\xFF\xFE".pack('n', 2 + 27).'<script>alert(1)</script>..'.substr($bytes, 2),
        );
        $taken = $send($jpeg)->assertCreated();
        self::assertSame([640, 480], [$taken->json('width'), $taken->json('height')]);
        $stored = $this->get("/api/v1/pictures/{$taken->json('sha256')}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        self::assertStringNotContainsString('script', (string) $stored->getContent());
        self::assertSame($taken->json('sha256'), hash('sha256', (string) $stored->getContent()));
        $send(UploadedFile::fake()->createWithContent('figure.png', 'not a picture'))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/picture');
        $sound = UploadedFile::fake()->image('x.png', 60, 60);
        $send(
            UploadedFile::fake()->createWithContent(
                'figure.png',
                substr((string) file_get_contents($sound->getRealPath()), 0, 40),
            ),
        )->assertStatus(422);
        $this->post('/api/v1/pictures', [], ['Accept' => 'application/json'])->assertStatus(422);
        $this->get('/api/v1/pictures/'.str_repeat('0', 64))->assertNotFound();
        $order = $this->unit('26-041')->order_id;
        $this->api('desk', 'PUT', "orders/$order/scheme", ['reference' => $taken->json('sha256')], 200);
        self::assertSame(
            $taken->json('sha256'),
            $this->api('lead', 'GET', "units/{$this->unit('26-041')->id}/plan", null, 200)->json('reference'),
        );
        $this->api('desk', 'PUT', "orders/$order/scheme", ['reference' => str_repeat('0', 64)], 422);
    }

    public function test_a_picture_is_turned_upright_and_made_no_larger_than_is_looked_at(): void
    {
        Storage::fake('local');
        $this->actingAs($this->person('lead'));
        $image = imagecreatetruecolor(3000, 1500);
        assert($image !== false);
        ob_start();
        imagejpeg($image);
        $bytes = (string) ob_get_clean();
        // Orientation 6: held upright, to be turned by a quarter. Little-endian TIFF with one entry.
        $tiff =
            "II*\0".
            pack('V', 8).
            pack('v', 1).
            pack('v', 0x0112).
            pack('v', 3).
            pack('V', 1).
            pack('v', 6).
            "\0\0".
            pack('V', 0);
        $exif = "\xFF\xE1".pack('n', 2 + 6 + strlen($tiff))."Exif\0\0".$tiff;
        $taken = $this->post(
            '/api/v1/pictures',
            [
                'picture' => UploadedFile::fake()->createWithContent(
                    'held.jpg',
                    substr($bytes, 0, 2).$exif.substr($bytes, 2),
                ),
            ],
            ['Accept' => 'application/json'],
        )->assertCreated();
        self::assertSame([1200, 2400], [$taken->json('width'), $taken->json('height')]);
    }

    /** @return array<string, mixed> */
    private function template(string $key): array
    {
        return (array) collect(app(\App\Studio\Templates::class)->all())->firstWhere('key', $key)['document'];
    }

    private function try(stdClass $document): TestResponse
    {
        return $this->call2('POST', 'sculpts/try', ['document' => $document], 200);
    }

    /**
     * With objects that stay objects.
     *
     * @param  array<string, mixed>  $body
     */
    private function call2(string $method, string $path, array $body, int $status): TestResponse
    {
        $response = $this->actingAs($this->person('lead'))->call(
            $method,
            "/api/v1/$path",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            Json::encode($body),
        );
        \Tests\Support\Contract::assertFits(
            $method,
            "/$path",
            $response->getStatusCode(),
            (string) $response->getContent(),
            (string) $response->headers->get('Content-Type'),
        );
        self::assertSame($status, $response->getStatusCode(), mb_substr((string) $response->getContent(), 0, 800));

        return $response;
    }

    public function test_a_table_of_paints_is_looked_at_first_and_adds_what_the_shelf_does_not_have(): void
    {
        $before = Paint::query()->count();
        $text = "Naam;Hex;Volume\nWet Slate;#3a4149;17\nKelp;2f4f3f;12,5\nFog;;17";
        $read = fn (bool $keep, array $columns = []) => $this->api('lead', 'POST', 'paints/table', [
            'text' => $text, 'keep' => $keep, 'columns' => (object) $columns,
        ], 200);
        $looked = $read(false);
        self::assertSame(['Kelp'], array_column($looked->json('paints'), 'name'));
        self::assertSame([1, 4, 0], [$looked->json('there'), $looked->json('wrong.0.line'), $looked->json('added')]);
        self::assertSame($before, Paint::query()->count());
        self::assertSame([], $read(false, ['name' => 'Volume', 'hex' => 'Volume'])->json('paints'));
        self::assertSame(1, $read(true)->json('added'));
        self::assertSame(0, $read(true)->json('added'), 'pressed twice');
        self::assertSame('12.5', (string) (float) Paint::query()->where('name', 'Kelp')->firstOrFail()->ml);
        $rack = $this->api('lead', 'POST', 'paints/table', ['keep' => true], 200);
        self::assertSame([], $rack->json('wrong'));
        self::assertGreaterThanOrEqual(24, $rack->json('added'));
        $this->api('desk', 'POST', 'paints/table', ['keep' => false], 403);
    }
}
