<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Certificate\SignPieces;
use App\Models\Piece;
use App\Models\RecordName;
use App\Models\SignOff;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Throwable;

/** The database goes away at every single statement of a sign-off, and just before it is made to last. */
final class KilledWhileSigningTest extends StudioTestCase
{
    /** What dies here dies for good: nothing may wait in a transaction around it.
     *
     * @var list<string>
     */
    protected array $connectionsToTransact = [];

    protected function setUp(): void
    {
        parent::setUp();
        // One may end one's own connections, from another one.
        config(['database.connections.killer' => config('database.connections.mariadb')]);
    }

    protected function tearDown(): void
    {
        // The next test gets the demo as it was: a sign-off cannot be taken out of it.
        self::$loaded = false;
        parent::tearDown();
    }

    public function test_there_is_one_record_or_none_never_two_and_never_half_a_one(): void
    {
        $piece = Piece::query()->where('stage', 'passed')->firstOrFail();
        $lead = $this->person('lead')->id;
        $before = $this->state($piece);
        self::assertSame('passed', $before['stage']);
        $killed = 0;
        for ($at = 1; $this->dies($piece, $lead, $at); $at++) {
            $killed++;
            self::assertSame($before, $this->state($piece), "killed at statement $at: nothing of it is there");
            self::assertLessThan(400, $at);
        }
        self::assertGreaterThan(20, $killed, 'every statement of it was tried');
        $after = $this->state($piece);
        self::assertSame(
            [$before['records'] + 1, 'signed', true],
            [$after['records'], $after['stage'], $after['names'] > $before['names']],
        );
        self::assertSame(0, Artisan::call('ordotype:verify'));
        // Asked for once more, as by somebody who never got the answer: it is told, and there is no second one.
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => [$piece->id]], 409);
        self::assertSame($after, $this->state($piece));
    }

    public function test_nothing_lasts_when_it_dies_just_before_it_is_made_to_last(): void
    {
        $piece = Piece::query()->where('stage', 'passed')->firstOrFail();
        $before = $this->state($piece);
        DB::purge('mariadb');
        $id = (int) DB::scalar('select connection_id()');
        $kill = true;
        Event::listen(function (TransactionCommitting $committing) use ($id, &$kill): void {
            if ($kill && $committing->connectionName === 'mariadb') {
                $kill = false;
                DB::connection('killer')->statement("kill $id");
            }
        });
        try {
            app(SignPieces::class)->sign([$piece->id], $this->person('lead'));
            self::fail('The database was gone.');
        } catch (Throwable $gone) {
            self::assertStringContainsString('gone away', $gone->getMessage());
        }
        DB::purge('mariadb');
        self::assertSame($before, $this->state($piece));
    }

    /** Whether the connection was killed before the sign-off was through. */
    private function dies(Piece $piece, int $lead, int $at): bool
    {
        DB::purge('mariadb');
        $id = (int) DB::scalar('select connection_id()');
        $by = $this->person('lead');
        $statement = 0;
        $killed = false;
        DB::connection()->beforeExecuting(function () use (&$statement, &$killed, $at, $id): void {
            if (++$statement === $at) {
                $killed = true;
                DB::connection('killer')->statement("kill $id");
            }
        });
        try {
            app(SignPieces::class)->sign([$piece->id], $by);
        } catch (Throwable $gone) {
            self::assertStringContainsString('gone away', $gone->getMessage(), "at statement $at");
        }
        DB::purge('mariadb');
        self::assertSame($lead, $by->id);

        return $killed;
    }

    /** @return array{records: int, names: int, linked: int, stage: string} */
    private function state(Piece $piece): array
    {
        return [
            'records' => SignOff::query()->count(),
            'names' => RecordName::query()->count(),
            'linked' => (int) DB::table('sign_off_pieces')->where('piece_id', $piece->id)->count(),
            'stage' => (string) Piece::query()->whereKey($piece->id)->value('stage'),
        ];
    }
}
