<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\RecordName;
use App\Models\SignOff;
use App\Pictures\Png;
use App\Studio\Pictures;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Tests\Support\Demo;

/** What a sign-off keeps, who can read it, and how a name goes without breaking it. */
final class RecordsTest extends StudioTestCase
{
    public function test_a_record_holds_the_amendments_themselves_and_no_word_that_names_somebody(): void
    {
        $piece = $this->passed();
        $unit = $piece->unit;
        $release = app(\App\Repositories\Releases::class)->of($unit);
        $number = $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201)->json('number');
        $signed = SignOff::query()->where('number', $number)->firstOrFail();
        $record = Json::decode($signed->record);
        assert($record instanceof \stdClass);
        self::assertFalse(isset($record->order->title));
        self::assertStringNotContainsString($unit->order->title, $signed->record);
        self::assertCount(count($release->inputs->amendments), $record->agreed);
        foreach ($record->agreed as $i => $agreed) {
            $amendment = $release->inputs->amendments[$i]->amendment;
            self::assertSame($amendment->action->value, $agreed->do);
            self::assertFalse(isset($agreed->reason));
        }
        $seen = $this->api('lead', 'GET', "sign-offs/$number", null, 200);
        self::assertSame($unit->order->title, $seen->json('record.order.title'));
        self::assertCount(count($record->agreed), $seen->json('words.agreed'));
        self::assertSame($seen->json('words.agreed'), $this->api(null, 'GET', "certificates/$signed->secret", null, 200)->json('agreed'));
    }

    public function test_everything_it_will_say_is_shown_before_and_nothing_is_signed_by_looking(): void
    {
        $piece = $this->passed();
        $before = SignOff::query()->count();
        $shown = $this->api('lead', 'POST', 'sign-offs/preview', ['pieces' => [$piece->id]], 200)->json();
        self::assertSame($before, SignOff::query()->count());
        self::assertSame('passed', $piece->refresh()->stage);
        self::assertSame('Runa Wick', $shown['record']['by']['name']);
        self::assertSame(['Ines Tallow'], $shown['record']['pieces'][0]['painters']);
        $this->api('painter', 'POST', 'sign-offs/preview', ['pieces' => [$piece->id]], 403);
        $offered = Piece::query()->where('stage', 'offered')->firstOrFail();
        $this->api('lead', 'POST', 'sign-offs/preview', ['pieces' => [$offered->id]], 409);
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id], 'whole' => 'lovely'], 422);
        $body = ['pieces' => [$piece->id], 'whole' => 'clones'];
        $signed = $this->api('lead', 'POST', 'sign-offs', $body, 201)->json('record');
        self::assertSame('clones', $signed['whole']);
        // The file is what was hashed, and fits its schema.
        $file = (string) $this->api('desk', 'GET', "sign-offs/{$signed['number']}/record", null, 200)->getContent();
        self::assertSame(SignOff::query()->where('number', $signed['number'])->value('hash'), hash('sha256', $file));
        SchemaCheck::against('certificate@3', Json::decode($file));
        $this->api('odo', 'GET', "sign-offs/{$signed['number']}/record", null, 403);
        $secret = SignOff::query()->orderByDesc('number')->value('secret');
        $read = $this->api(null, 'GET', "certificates/$secret", null, 200)->json();
        self::assertStringContainsString('like clones', $read['side_by_side']);
        self::assertSame(['passed first time, without a fault.'], array_column($read['found'], 'said'));
        unset($signed['whole']);
        foreach (['number', 'signed_at', 'format', 'previous'] as $later) {
            unset($signed[$later]);
        }
        self::assertEquals($shown['record'], $signed, 'what was shown is what was signed');
    }

    public function test_names_stand_in_a_record_as_hashes_and_can_be_erased_without_breaking_the_chain(): void
    {
        $piece = $this->passed();
        $number = $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201)->json('number');
        $record = SignOff::query()->where('number', $number)->firstOrFail();
        self::assertStringContainsString('"format":"ordotype/certificate@3"', $record->record);
        foreach (['Ines Tallow', 'Runa Wick', $piece->unit->order->client] as $name) {
            self::assertStringNotContainsString($name, $record->record);
            $kept = RecordName::query()->where('sign_off_id', $record->id)->where('name', $name)->sole();
            self::assertSame($kept->token, hash('sha256', $kept->salt.$name));
            self::assertStringContainsString($kept->token, $record->record);
        }
        self::assertSame(0, Artisan::call('ordotype:erase-name', ['name' => 'Ines Tallow']));
        self::assertSame(0, RecordName::query()->where('name', 'Ines Tallow')->count());
        self::assertSame(0, RecordName::query()->whereNull('name')->whereNotNull('salt')->count());
        self::assertSame(0, Artisan::call('ordotype:verify'), 'the chain is whole');
        $shown = $this->api('lead', 'GET', "sign-offs/$number", null, 200)->json('record.pieces.0.painters');
        self::assertSame(['a name that was erased'], $shown);
        self::assertSame(1, Artisan::call('ordotype:erase-name', ['name' => 'Ines Tallow']));
    }

    public function test_a_name_that_was_exchanged_is_shown_as_such_and_found_even_where_the_guards_were_gone(): void
    {
        $piece = $this->passed();
        $number = $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201)->json('number');
        $record = SignOff::query()->where('number', $number)->firstOrFail();
        $signer = RecordName::query()->where('sign_off_id', $record->id)->where('name', 'Runa Wick')->sole();
        foreach ([['name' => 'Somebody Else'], ['token' => str_repeat('0', 64)], ['salt' => null]] as $change) {
            try {
                DB::transaction(fn () => RecordName::query()->whereKey($signer->id)->update($change));
                self::fail('a name can be exchanged');
            } catch (QueryException $e) {
                self::assertStringContainsString('can only be erased', $e->getMessage());
            }
        }
        // Another one put beside it, as by whoever could take the guards away.
        RecordName::query()->insert(['sign_off_id' => $record->id, 'token' => hash('sha256', 'x'), 'salt' => 'aa', 'name' => 'Nobody']);
        self::assertSame(1, Artisan::call('ordotype:verify'));
        self::assertStringContainsString("names beside record $number are not those", Artisan::output());
        $signer->salt = 'another';
        self::assertFalse($signer->isTheOneSigned());
    }

    public function test_a_client_reads_it_by_its_address_in_their_words_and_sees_that_it_holds(): void
    {
        Storage::fake();
        $piece = $this->passed();
        $picture = (new Booth())->draw(new BoothRequest(Demo::sculpt(), [], width: 240));
        $this->actingAs($this->person('painter'));
        $kept = app(Pictures::class)->take(Png::of($picture));
        Photograph::query()->create([
            'piece_id' => $piece->id,
            'view' => 'front',
            'sha256' => $kept->sha256,
            'made_by' => $this->person('painter')->id,
        ]);
        $signed = $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 201);
        self::assertMatchesRegularExpression('~^/certificate/[0-9a-f]{32}$~D', $signed->json('path'));
        $secret = basename($signed->json('path'));
        $read = $this->api(null, 'GET', "certificates/$secret", null, 200);
        self::assertTrue($read->json('holds'));
        self::assertSame(['Banner', 'Sluice Warden', [1]], [$read->json('tier'), $read->json('figure'), $read->json('models')]);
        self::assertContains('Everyone has eyes.', $read->json('promised'));
        self::assertSame($kept->sha256, $read->json('pictures.0.sha256'));
        foreach (['Ines', 'Runa', 'Sable', 'price', 'minutes'] as $hidden) {
            self::assertStringNotContainsString($hidden, (string) $read->getContent(), $hidden);
        }
        $this->api(null, 'GET', "certificates/$secret/pictures/$kept->sha256", null, 200)
            ->assertHeader('Content-Type', 'image/png');
        $paper = $this->api(null, 'GET', "certificates/$secret/paper", null, 200);
        self::assertSame("/api/v1/certificates/$secret/paper", $signed->json('paper'));
        self::assertStringStartsWith('%PDF-', (string) $paper->getContent());
        self::assertGreaterThan(0, substr_count((string) $paper->getContent(), '/Subtype /Image'));
        $this->api(null, 'GET', 'certificates/'.str_repeat('0', 32).'/paper', null, 404);
        // No other picture, no other record, no withdrawal, nothing guessed.
        $other = Photograph::query()->where('sha256', '!=', $kept->sha256)->value('sha256') ?? str_repeat('a', 64);
        $this->api(null, 'GET', "certificates/$secret/pictures/$other", null, 404);
        $this->api(null, 'GET', 'certificates/'.str_repeat('0', 32), null, 404);
        $this->api(null, 'GET', "for-you/$secret", null, 404);
        $gone = $this->api('lead', 'POST', "sign-offs/{$signed->json('number')}/withdrawal", ['reason' => 'A chip.'], 201);
        SchemaCheck::against('certificate@3', Json::decode((string) SignOff::query()->latest('number')->value('record')));
        self::assertNull($gone->json('path'));
        $withdrawal = SignOff::query()->where('number', $gone->json('number'))->value('secret');
        $this->api(null, 'GET', "certificates/$withdrawal", null, 404);
        self::assertNotNull($this->api(null, 'GET', "certificates/$secret", null, 200)->json('withdrawn_at'));
    }
}
