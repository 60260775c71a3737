<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Settings\ImportDocument;
use App\Actions\Standard\EditStandard;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use PHPUnit\Framework\Attributes\DataProvider;

/** Nobody signs own work, but for the two cases where there is nobody else; and then the record says so. */
final class OwnWorkTest extends StudioTestCase
{
    public static function setUpBeforeClass(): void
    {
        self::$loaded = false;
    }

    public static function tearDownAfterClass(): void
    {
        self::$loaded = false;
    }

    protected function load(): void
    {
        $lead = User::query()->create([
            'name' => 'Isa Reed',
            'email' => 'isa@studio.example',
            'password' => 'something long',
            'role' => 'lead',
            'may_sign' => true,
            'skill' => 5,
        ]);
        Auth::setUser($lead);
        $import = app(ImportDocument::class);
        foreach (
            ['shelf.csv', 'standards/two-stages.json', 'sculpts/mudlark.json', 'schemes/tidemark.json'] as $file
        ) {
            $import->text((string) file_get_contents(database_path("demo/$file")));
        }
        $edit = app(EditStandard::class);
        $edit->publish($edit->open()->refresh()->revision, 'To begin with.');
        Auth::logout();
    }

    public function test_in_a_studio_of_one_own_work_is_checked_and_signed_alone_and_the_record_says_so(): void
    {
        $piece = $this->painted('isa');
        $this->api('isa', 'POST', "pieces/$piece/check", null, 201);
        $this->passes('isa', $piece);
        $this->api('isa', 'POST', 'sign-offs', ['pieces' => [$piece]], 201)->assertJsonPath(
            'record.pieces.0.rule',
            'own work, signed alone in a studio of one',
        );
    }

    /** @return iterable<string, array{bool, int}> */
    public static function seconds(): iterable
    {
        yield 'somebody else may sign: they must' => [true, 403];
        yield 'nobody else may sign, and somebody else has answered' => [false, 201];
    }

    #[DataProvider('seconds')]
    public function test_with_a_second_person(bool $maySign, int $status): void
    {
        User::query()->create([
            'name' => 'Col Teasel',
            'email' => 'col@studio.example',
            'password' => 'something long',
            'role' => 'painter',
            'may_sign' => $maySign,
            'skill' => 2,
        ]);
        $piece = $this->painted('isa');
        $this->api('isa', 'POST', "pieces/$piece/check", null, 403);
        $this->passes('col', $piece);
        $signed = $this->api('isa', 'POST', 'sign-offs', ['pieces' => [$piece]], $status);
        if ($status === 201) {
            self::assertSame(
                'own work: everyone who may sign painted on it; another person answered the mandatory questions',
                $signed->json('record.pieces.0.rule'),
            );
        } else {
            $this->api('col', 'POST', 'sign-offs', ['pieces' => [$piece]], 201)->assertJsonPath(
                'record.pieces.0.rule',
                'signed by someone who did not paint on it',
            );
        }
    }

    private function painted(string $who): int
    {
        $order = $this->api('isa', 'POST', 'orders', ['client' => 'Ada Fen', 'title' => 'One'], 201)->json('id');
        $unit = $this->api(
            'isa',
            'POST',
            "orders/$order/units",
            ['sculpt' => 'mudlark', 'tier' => 'ready', 'count' => 1],
            201,
        )->json('id');
        $this->api(
            'isa',
            'POST',
            "units/$unit/release",
            ['revision' => 1, 'despite' => 'Painted for the window.'],
            200,
        );
        $batch = $this->api($who, 'GET', "bench/$unit", null, 200);
        $piece = $batch->json('pieces.0.id');
        $this->api(
            $who,
            'POST',
            'bench/marks',
            ['pieces' => [$piece], 'steps' => array_merge(...array_column($batch->json('passes'), 'steps'))],
            200,
        );
        $this->api($who, 'POST', 'bench/offers', ['pieces' => [$piece]], 200);

        return $piece;
    }

    private function passes(string $who, int $piece): void
    {
        $check = $this->api($who, 'POST', "pieces/$piece/check", null, 201)->json();
        foreach ($check['questions'] as $question) {
            $this->api(
                $who,
                'PUT',
                "checks/{$check['id']}/answers",
                ['question' => $question['key'], 'answer' => 'yes'],
                200,
            );
        }
        $this->api($who, 'POST', "checks/{$check['id']}/verdict", ['verdict' => 'passed'], 200);
    }
}
