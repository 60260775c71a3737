<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** A client is asked by a link whether a model may leave with what was found on it. */
final class ConcessionTest extends StudioTestCase
{
    public function test_the_client_answers_once_for_just_the_faults_that_were_shown(): void
    {
        [$check, $asked] = $this->withFault();
        $this->api('pim', 'POST', "checks/$check/concession", null, 403);
        $first = basename($this->api('lead', 'POST', "checks/$check/concession", null, 201)->json('path'));
        $secret = basename($this->api('lead', 'POST', "checks/$check/concession", null, 201)->json('path'));
        self::assertMatchesRegularExpression('/^[0-9a-f]{32}$/D', $secret);
        $this->api(null, 'GET', "concessions/$first", null, 404);
        $shown = $this->api(null, 'GET', "concessions/$secret", null, 200);
        self::assertSame(['Sluice Warden', 4, 'Banner'], [$shown->json('figure'), $shown->json('model'), $shown->json('tier')]);
        self::assertSame(['Overspill', 'Oilskin coat'], [$shown->json('faults.0.name'), $shown->json('faults.0.area')]);
        foreach (['Ines', 'Sable', 'minutes', 'price'] as $hidden) {
            self::assertStringNotContainsString($hidden, (string) $shown->getContent());
        }
        foreach (['for-you', 'shared', 'certificates'] as $elsewhere) {
            $this->api(null, 'GET', "$elsewhere/$secret", null, 404);
        }
        $this->api(null, 'POST', "concessions/$secret", ['agrees' => true], 422);
        $this->api(null, 'POST', "concessions/$secret", ['agrees' => true, 'name' => 'Ada Fen'], 200);
        $again = $this->api(null, 'POST', "concessions/$secret", ['agrees' => false, 'name' => 'Somebody'], 200);
        self::assertSame([true, 'Ada Fen'], [$again->json('answer.agrees'), $again->json('answer.name')], 'once');
        self::assertSame('Ada Fen', $this->api('lead', 'GET', "checks/$check", null, 200)->json('client_said.name'));
        $logged = DB::table('activities')->where('action', 'share.answered')->value('after');
        self::assertStringNotContainsString('Ada Fen', (string) $logged, 'the log cannot forget');

        // One more fault, and what was agreed does not hold for it.
        $more = [['fault' => 'overspill', 'area' => 'hood', 'spread' => 'patch']];
        $noted = $this->api('lead', 'PUT', "checks/$check/answers", ['question' => $asked, 'answer' => 'fault', 'faults' => $more], 200);
        self::assertNull($noted->json('client_said'));
        $accept = ['verdict' => 'accepted', 'reason' => 'It faces the wall.'];
        $this->api('lead', 'POST', "checks/$check/verdict", $accept, 422)->assertJsonPath('errors.0.pointer', '/consent');
        $this->api('lead', 'DELETE', "checks/$check/faults/{$noted->json('faults.1.id')}", null, 200);
        $done = $this->api('lead', 'POST', "checks/$check/verdict", $accept, 200);
        self::assertStringStartsWith('Ada Fen, by the link', (string) $done->json('consent'));
    }

    public function test_the_name_that_was_left_behind_a_link_can_be_erased(): void
    {
        [$check] = $this->withFault();
        $secret = basename($this->api('lead', 'POST', "checks/$check/concession", null, 201)->json('path'));
        $this->api(null, 'POST', "concessions/$secret", ['agrees' => true, 'name' => 'Ada Fen'], 200);
        self::assertSame(0, Artisan::call('ordotype:erase-name', ['name' => 'Ada Fen']), Artisan::output());
        $said = $this->api('lead', 'GET', "checks/$check", null, 200)->json('client_said');
        self::assertSame([true, 'a name that was erased'], [$said['agrees'], $said['name']]);
        $said = $this->api(null, 'GET', "concessions/$secret", null, 200)->json('answer');
        self::assertSame([true, 'a name that was erased'], [$said['agrees'], $said['name']]);
    }

    public function test_no_is_no(): void
    {
        [$check] = $this->withFault();
        $secret = basename($this->api('lead', 'POST', "checks/$check/concession", null, 201)->json('path'));
        $this->api(null, 'POST', "concessions/$secret", ['agrees' => false, 'name' => 'Ada Fen'], 200);
        $this->api('lead', 'POST', "checks/$check/verdict", ['verdict' => 'accepted', 'reason' => 'Never mind.'], 422);
        $this->travel(15)->days();
        $this->api(null, 'GET', "concessions/$secret", null, 404);
    }

    /** @return array{int, string} a check with one major fault and all else fine, and where that was found */
    private function withFault(): array
    {
        $piece = Piece::query()->where('unit_id', $this->unit('26-033')->id)->where('number', 4)->firstOrFail();
        $check = $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json();
        $asked = collect($check['questions'])->firstOrFail(
            fn (array $q) => in_array('overspill', $q['faults'], true) && in_array('coat', $q['areas'], true),
        )['key'];
        $this->api('lead', 'POST', "checks/{$check['id']}/concession", null, 409);
        $fault = ['fault' => 'overspill', 'area' => 'coat', 'spread' => 'patch'];
        $answer = ['question' => $asked, 'answer' => 'fault', 'faults' => [$fault]];
        $this->api('lead', 'PUT', "checks/{$check['id']}/answers", $answer, 200);
        foreach ($check['looks'] as $look) {
            $this->api('lead', 'PUT', "checks/{$check['id']}/looks", ['look' => $look['key'], 'answer' => 'yes'], 200);
        }

        return [$check['id'], $asked];
    }
}
