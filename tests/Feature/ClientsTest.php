<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Client;
use App\Models\Order;
use App\Models\OrderMoveRow;
use App\Models\Parcel;
use App\Models\Piece;
use App\Models\RecordName;
use App\Models\Studio;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Studio\OrderStatus;

/** Who orders, what is kept of them, and the papers that go with their models. */
final class ClientsTest extends StudioTestCase
{
    public function test_a_client_has_a_record_from_the_first_order_on_and_is_renamed_in_all_of_them(): void
    {
        $first = $this->order('Ada Fen', 'The flats');
        $second = $this->order('Ada Fen', 'The hills');
        self::assertSame($first['client_id'], $second['client_id']);
        $id = $first['client_id'];
        $facts = ['revision' => 0, 'name' => 'Ada Fen-Moor', 'reach' => 'by letter', 'notes' => null];
        $now = $this->api('desk', 'PUT', "clients/$id", $facts, 200)->json();
        self::assertSame(['The hills', 'The flats'], array_column($now['orders'], 'title'));
        self::assertSame('Ada Fen-Moor', $this->api('desk', 'GET', "orders/{$first['id']}", null, 200)->json('client'));
        $this->api('desk', 'PUT', "clients/$id", $facts, 409);
        $other = (string) Client::query()->whereKeyNot($id)->value('name');
        $this->api('desk', 'PUT', "clients/$id", ['revision' => 1, 'name' => $other], 409);
        $found = $this->api('desk', 'GET', 'clients?find=Fen-Moor', null, 200)->json('data');
        self::assertSame([['id' => $id, 'name' => 'Ada Fen-Moor', 'reach' => 'by letter', 'orders' => 2, 'open' => 2]], $found);
        $given = ['revision' => $second['revision'], 'client' => 'Bo Reed', 'payer' => 'Ada Fen-Moor'];
        $moved = $this->api('desk', 'PUT', "orders/{$second['id']}", $given, 200)->json();
        self::assertNotSame($id, $moved['client_id']);
        self::assertSame('Ada Fen-Moor', $moved['payer']);
        self::assertCount(1, $this->api('desk', 'GET', "clients/$id", null, 200)->json('orders'));
        // Names can be erased, the log cannot.
        $log = DB::table('activities')->where('subject', 'orders')->whereIn('subject_id', [$first['id'], $second['id']]);
        self::assertSame(0, (clone $log)->whereRaw("concat(coalesce(`before`, ''), `after`) like '%Fen%'")->count());
        self::assertGreaterThan(0, $log->count());
        $this->api('painter', 'GET', "clients/$id", null, 403);
    }

    public function test_an_erased_client_is_in_no_row_that_can_be_read_and_the_chain_still_holds(): void
    {
        $piece = $this->passed();
        $order = $piece->unit->order;
        $name = $order->client;
        $client = Client::query()->where('name', $name)->firstOrFail();
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201);
        OrderMoveRow::query()->create([
            'order_id' => $order->id, 'from_status' => OrderStatus::Draft, 'to_status' => OrderStatus::Accepted,
            'mover' => 'lead', 'facts' => ['who' => $name], 'at' => now(),
        ]);
        Parcel::query()->create([
            'order_id' => $order->id, 'direction' => 'out', 'on_day' => self::today(), 'way' => 'post',
            'recipient' => $name, 'pieces' => [], 'made_at' => now(),
        ]);
        self::assertSame(1, RecordName::query()->where('name', $name)->count());
        $refused = $this->api('lead', 'DELETE', "clients/$client->id", ['revision' => 0], 409);
        self::assertStringContainsString('is not closed', (string) $refused->json('detail'));
        $file = $this->api('desk', 'GET', "clients/$client->id/export", null, 200);
        self::assertContains($order->number, array_column($file->json('orders'), 'number'));
        self::assertStringContainsString($name, (string) $file->getContent());

        Order::query()->where('client_id', $client->id)->update(['status' => OrderStatus::Closed->value]);
        $this->api('desk', 'DELETE', "clients/$client->id", ['revision' => 0], 403);
        $this->api('lead', 'DELETE', "clients/$client->id", ['revision' => 0], 204);
        foreach (DB::select('select table_name t, column_name c from information_schema.columns
            where table_schema = database() and data_type in (\'varchar\', \'text\', \'mediumtext\', \'longtext\')') as $column) {
            $left = DB::table($column->t)->where($column->c, 'like', "%$name%")->count();
            self::assertSame(0, $left, "$column->t.$column->c");
        }
        $this->artisan('ordotype:verify')->assertSuccessful();
    }

    public function test_labels_lead_to_each_model_and_a_slip_names_what_is_in_the_parcel_and_no_price(): void
    {
        $order = Order::query()->where('number', '26-030')->firstOrFail();
        $answer = $this->api('desk', 'GET', "orders/$order->id/labels", null, 200);
        $pieces = $order->pieces()->whereNotIn('stage', ['lost', 'cancelled'])->get();
        $text = $this->textOf((string) $answer->getContent());
        foreach ($pieces as $piece) {
            self::assertStringContainsString($piece->code, $text);
        }
        $parcel = Parcel::query()->where('direction', 'out')->get()->firstOrFail(fn (Parcel $p) => $p->pieces !== []);
        $text = $this->textOf((string) $this->api('desk', 'GET', "parcels/$parcel->id/slip", null, 200)->getContent());
        $in = Piece::query()->whereIn('id', $parcel->pieces)->pluck('code');
        foreach ($in as $code) {
            self::assertStringContainsString((string) $code, $text);
        }
        self::assertStringContainsString('certificate', $text);
        self::assertDoesNotMatchRegularExpression('/€|EUR|price/i', $text);
        $this->api('painter', 'GET', "parcels/$parcel->id/slip", null, 403);

        $offered = Piece::query()->where('stage', 'offered')->firstOrFail();
        $to = fn (string $who): string => (string) $this->api($who, 'GET', "codes/$offered->code", null, 200)->json('to');
        self::assertStringStartsWith('/check/', $to('lead'));
        self::assertSame("/orders/{$offered->unit->order_id}", $to('desk'));
        $planned = Piece::query()->where('stage', 'planned')->firstOrFail();
        $at = $this->api('painter', 'GET', 'codes/'.mb_strtolower($planned->code), null, 200)->json('to');
        self::assertSame("/bench/$planned->unit_id", $at);
        $this->api('painter', 'GET', 'codes/NOPE9', null, 404);
    }

    public function test_a_question_keeps_its_picture_and_where_the_pin_stands(): void
    {
        $this->actingAs($this->person('desk'));
        $picture = UploadedFile::fake()->image('boots.png', 90, 60);
        $sha = $this->post('/api/v1/pictures', ['picture' => $picture])->json('sha256');
        $order = $this->order('Ada Fen', 'The flats')['id'];
        $ask = ['text' => 'These boots?', 'blocks' => false, 'picture' => $sha, 'pin' => ['x' => 0.25, 'y' => 1]];
        $beside = ['pin' => ['x' => 1.5, 'y' => 0]] + $ask;
        $this->api('desk', 'POST', "orders/$order/questions", $beside, 422);
        $this->api('desk', 'POST', "orders/$order/questions", ['picture' => str_repeat('0', 64)] + $ask, 422);
        $asked = $this->api('desk', 'POST', "orders/$order/questions", $ask, 201)->json('life.questions.0');
        self::assertSame($sha, $asked['picture']);
        self::assertEquals(['x' => 0.25, 'y' => 1], $asked['pin']);
        $plain = ['text' => 'And the hood?', 'blocks' => false];
        $this->api('desk', 'POST', "orders/$order/questions", $plain, 201);
        $answer = ['answer' => 'Black.', 'by' => 'Ada Fen', 'amendment' => null];
        $said = $this->api('desk', 'PUT', "questions/{$asked['id']}", $answer, 200)->json('life.questions');
        $told = array_values(array_filter($said, fn (array $q) => $q['id'] === $asked['id']))[0];
        self::assertSame(['Black.', 'Ada Fen', false], [$told['answer'], $told['answered_by'], $told['amended']]);
    }

    public function test_a_scheme_is_filled_from_the_shelf_slot_by_slot_and_what_is_there_stays(): void
    {
        $mine = ['base' => '#123456', 'shades' => [], 'lights' => []];
        $slots = ['steel' => $mine];
        $document = ['format' => 'ordotype/scheme@1', 'name' => 'Reeds', 'slots' => $slots, 'areas' => (object) []];
        $empty = $this->api('lead', 'POST', 'schemes', ['document' => $document], 201)->json('slots');
        $without = array_filter($empty, fn (array $s) => $s['colours'] === null);
        self::assertNotSame([], $without);
        foreach ($without as $slot) {
            self::assertNotNull($slot['proposed'], $slot['slot']);
        }
        $filled = ['name' => 'Reeds, filled'] + $document;
        $full = $this->api('lead', 'POST', 'schemes', ['document' => $filled, 'fill' => true], 201)->json('slots');
        foreach ($full as $slot) {
            self::assertNotNull($slot['colours'], $slot['slot']);
            self::assertNull($slot['proposed'], 'nothing is proposed where something is');
        }
        $steel = array_values(array_filter($full, fn (array $s) => $s['slot'] === 'steel'))[0];
        self::assertSame('#123456', $steel['colours']['base']['paint'], 'what somebody chose stays');
    }

    public function test_the_studio_has_a_currency_an_address_and_a_head_for_its_papers(): void
    {
        $set = fn (array $facts, int $status = 200) => $this->api('lead', 'PUT', 'studio', $facts, $status);
        $set(['currency' => 'euro'], 422);
        $set(['address' => 'https://studio.example/inside'], 422);
        $set(['mark' => str_repeat('0', 64)], 422);
        $refused = function (string $host): int {
            $status = $this->get("http://$host/api/v1/session")->getStatusCode();
            $this->get('http://localhost/api/v1/session');

            return $status;
        };
        self::assertNotSame(200, $refused('studio.example'));
        $set(['currency' => 'GBP', 'address' => 'https://studio.example', 'paper_head' => "Reed Lane 2\nby appointment"]);
        self::assertSame(200, $refused('studio.example'));
        self::assertSame('https://studio.example', $this->api('desk', 'GET', 'session', null, 200)->json('studio.address'));
        $draft = $this->api('lead', 'POST', 'standard/draft', [], null)->json();
        self::assertIsArray($draft);
        self::assertSame('GBP', $this->api('lead', 'GET', 'standard', null, 200)->json('currency'));
        $picture = UploadedFile::fake()->image('mark.png', 80, 80);
        $sha = $this->post('/api/v1/pictures', ['picture' => $picture])->json('sha256');
        $set(['mark' => $sha]);
        self::assertSame($sha, Studio::row()->mark);
        $order = Order::query()->where('number', '26-030')->firstOrFail();
        $text = $this->textOf((string) $this->api('desk', 'GET', "orders/$order->id/labels", null, 200)->getContent());
        self::assertStringContainsString('Reed Lane 2', $text);
    }

    /** @return array<string, mixed> */
    private function order(string $client, string $title): array
    {
        return $this->api('desk', 'POST', 'orders', ['client' => $client, 'title' => $title], 201)->json();
    }

    /** The texts of a paper, out of its packed streams: the font writes them as UTF-16. */
    private function textOf(string $pdf): string
    {
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);
        $text = '';
        foreach ($streams[1] as $stream) {
            $plain = @gzuncompress($stream);
            preg_match_all('/\[\((.*?)\)\] TJ/s', $plain === false ? '' : $plain, $said);
            foreach ($said[1] as $one) {
                $text .= mb_convert_encoding(stripcslashes($one), 'UTF-8', 'UTF-16BE')."\n";
            }
        }

        return $text;
    }
}
