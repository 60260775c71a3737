<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Settings\ImportDocument;
use App\Models\GateAnswer;
use App\Models\Order;
use App\Models\Sculpt;
use App\Models\SignOff;
use App\Models\StepLog;
use App\Models\Unit;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use PHPUnit\Framework\Attributes\DataProvider;
use stdClass;
use Tests\Support\Demo;

final class GuardsTest extends StudioTestCase
{
    /** @return iterable<string, array{string}> what the application's own database user tries and must not get done */
    public static function attacks(): iterable
    {
        $version = "(select id from (select min(id) id from standard_versions where status = 'published') v)";
        foreach (
            [
                'delete a sign-off' => 'delete from sign_offs',
                'change a sign-off' => "update sign_offs set record = '{}'",
                'replace a sign-off' => 'replace into sign_offs (id, number, kind, previous, hash, record, user_id, '.
                    "signed_at) select id, number, kind, previous, hash, '{}', user_id, signed_at from sign_offs",
                'empty the sign-offs' => 'truncate table sign_offs',
                'drop their trigger' => 'drop trigger sign_offs_no_delete',
                'drop their table' => 'drop table sign_offs',
                'take pieces off a sign-off' => 'delete from sign_off_pieces',
                'upsert a sign-off' => 'insert into sign_offs (id, number, kind, previous, hash, record, user_id, '.
                    'signed_at) select id, number, kind, previous, hash, record, user_id, signed_at '.
                    "from sign_offs on duplicate key update record = '{}'",
                'delete the signer' => 'delete from users where id in (select user_id from sign_offs)',
                'delete a signed piece' => "delete from pieces where stage = 'signed'",
                'delete a version' => "delete from standard_versions where id = $version",
                'change a version' => "update standard_versions set document = '{}' where status = 'published'",
                'reopen a version' => "update standard_versions set status = 'draft' where status = 'published'",
                'delete its standard' => 'delete from standards',
                'empty the versions' => 'truncate table standard_versions',
                'drop the guard of versions' => 'drop trigger standard_versions_no_update',
                'change a published clause' => "update clauses set body = '{}'",
                'delete a published clause' => 'delete from clauses',
                'add a clause to it' => 'insert into clauses (standard_version_id, tier, clause, '.
                    "position, body) values ($version, 'muster', 'muster.new', 99, '{}')",
                'replace a published clause' => 'replace into clauses (id, standard_version_id, tier, clause, position, body) '.
                    'select id, standard_version_id, tier, clause, position, \'{}\' from clauses limit 1',
                'change the log' => "update activities set action = 'nothing'",
                'delete the log' => 'delete from activities',
                'empty the log' => 'truncate table activities',
                'switch foreign keys off and delete' => 'delete from orders',
                'delete what was logged' => 'delete from step_logs',
                'rewrite what was logged' => 'update step_logs set user_id = 1, minutes = 1',
                'take an undo back' => 'update step_logs set undone_by = null where undone_by is not null',
                'uncover what was painted over' => 'update step_logs set covered_by = null where covered_by is not null',
                'empty the logs' => 'truncate table step_logs',
                'delete a closed check' => 'delete from checks where closed_at is not null',
                'turn its verdict' => "update checks set verdict = 'rework' where closed_at is not null",
                'reopen it' => 'update checks set closed_at = null where closed_at is not null',
                'change its answers' => "update answers set answer = 'yes', note = 'never mind'",
                'delete its answers' => 'delete from answers',
                'answer it later' => "insert into answers (check_id, question, answer, user_id, answered_at)
                    select id, 'late', 'yes', closed_by, now() from checks where closed_at is not null",
                'delete its faults' => 'delete from faults',
                'make its faults small' => "update faults set severity = 'note'",
                'delete a release' => 'delete from releases',
                'rewrite a release' => "update releases set document = '{}'",
                'recolour a scheme in use' => "update scheme_versions set document = '{}'",
                'delete a scheme in use' => 'delete from scheme_versions',
                'move a signed piece to another row' => "update pieces set id = id + 1000 where stage = 'signed'",
                'move a signed order to another row' => 'update orders set id = id + 1000',
                'replace a signed piece' => 'replace into pieces (id, unit_id, number, code, stage)
                    select id, unit_id, number, code, stage from pieces',
                'let a model past a gate afterwards' => 'update gate_answers set passed = 1',
                'delete what was said at a gate' => 'delete from gate_answers',
                'draw a lot anew' => "update lots set drawn = '[2]'",
                'turn the verdict of a lot' => "update lots set verdict = 'accepted'",
                'delete a lot' => 'delete from lots',
                'call a drill afterwards' => "update drills set calls = '[]'",
                'delete a finished drill' => 'delete from drills',
                'rename who signed' => "update record_names set name = 'Nobody'",
                'take a name away' => 'delete from record_names',
                'take a photograph of signed work away' => 'delete from photographs where piece_id in (select piece_id from sign_off_pieces)',
                'show another one' => "update photographs set view = 'back' where piece_id in (select piece_id from sign_off_pieces)",
                'take its picture away' => 'delete from pictures where sha256 in (select sha256 from photographs where piece_id is not null)',
                'say that it was drawn' => 'update pictures set is_drawn = 1 - is_drawn',
                'turn what a client said' => "update share_links set shows = json_set(shows, '\$.answer.agrees', true)",
                'take it away' => 'delete from share_links',
                'sign for another tier' => "update units set tier = 'muster' where id in (select p.unit_id from sign_off_pieces s join pieces p on p.id = s.piece_id)",
                'call a release back that was signed for' => 'update releases set taken_back_at = now()',
                'make a signed model another' => "update pieces set number = number + 50 where stage = 'signed'",
                'alter a table' => 'alter table sign_offs add column x int',
                'make a trigger of its own' => 'create trigger x before insert on sign_offs for each row set new.hash = new.hash',
            ] as $what => $sql
        ) {
            yield $what => [$sql];
        }
    }

    #[DataProvider('attacks')]
    public function test_the_applications_own_database_user_cannot_undo_what_is_final(string $sql): void
    {
        // A log entry that was taken back and one that was painted over, for those that would undo it.
        $log = StepLog::query()->firstOrFail();
        $undo = $log->replicate(['standing'])->fill(['undoes' => $log->id]);
        $undo->save();
        $log->update(['undone_by' => $undo->id]);
        StepLog::query()->whereKey(StepLog::query()->min('id'))->update(['covered_by' => 9]);
        // What ends a transaction would leave these behind.
        if (preg_match('/gate_answers|lots|drills/', $sql) === 1) {
            $this->said($log->piece_id);
        }
        if (preg_match('/record_names|photographs|pictures|share_links/', $sql) === 1) {
            $this->rests();
        }
        $before = $this->final();
        self::assertStringStartsWith('ordotype_app@', DB::selectOne('select current_user() as u')->u);
        try {
            DB::statement($sql);
            self::fail("It was done: $sql");
        } catch (QueryException $e) {
            self::assertMatchesRegularExpression(
                '/cannot be (changed|deleted)|can only be erased|is what its hash says|stays?( |;|$)|keeps its (place|tier)|denied|foreign key/',
                $e->getMessage(),
            );
        }
        self::assertSame($before, $this->final());
    }

    /** A word at a gate, a lot that was refused and a drill that is ended. */
    /** A photograph of signed work, a name beside its record, and a client's answer behind a link. */
    private function rests(): void
    {
        $by = (int) User::query()->value('id');
        $record = SignOff::query()->where('kind', 'sign_off')->orderBy('number')->firstOrFail();
        $sha = str_repeat('ab', 32);
        DB::table('pictures')->insert(['sha256' => $sha, 'mime' => 'image/png', 'width' => 9, 'height' => 9, 'bytes' => 9, 'made_by' => $by, 'created_at' => '2020-01-01']);
        DB::table('photographs')->insert([
            'piece_id' => $record->pieces()->value('pieces.id'),
            'view' => 'front',
            'sha256' => $sha,
            'made_by' => $by,
            'created_at' => '2020-01-01',
        ]);
        DB::table('record_names')->insert(['sign_off_id' => $record->id, 'token' => hash('sha256', 'saltRuna'), 'salt' => 'salt', 'name' => 'Runa']);
        DB::table('share_links')->insert([
            'hash' => str_repeat('cd', 32),
            'what' => 'check',
            'shows' => '{"check":1,"answer":{"agrees":false,"name":"Ada Fen","at":"2026-01-01T10:00:00Z"}}',
            'made_by' => $by,
            'expires_at' => '2030-01-01',
        ]);
    }

    public function test_what_a_guard_keeps_is_refused_with_its_reason(): void
    {
        $this->rests();
        $record = SignOff::query()->where('kind', 'sign_off')->orderBy('number')->firstOrFail();
        $photograph = DB::table('photographs')->where('created_at', '2020-01-01')->value('id');
        $this->api('lead', 'POST', "sign-offs/$record->number/withdrawal", ['reason' => 'A chip.'], 201);
        $refused = $this->api('lead', 'DELETE', "photographs/$photograph", null, 422);
        self::assertSame('A photograph of signed work stays.', $refused->json('detail'));
        self::assertSame(1, DB::table('photographs')->where('id', $photograph)->count());
    }

    public function test_a_name_can_be_erased_beside_a_record_and_in_what_was_said_behind_a_link(): void
    {
        $this->rests();
        DB::table('record_names')->where('name', 'Runa')->update(['name' => null, 'salt' => null]);
        DB::update("update share_links set shows = json_set(shows, '$.answer.name', null) where hash = ?", [str_repeat('cd', 32)]);
        self::assertSame(0, DB::table('record_names')->where('name', 'Runa')->count());
        self::assertStringNotContainsString('Ada Fen', (string) DB::table('share_links')->where('hash', str_repeat('cd', 32))->value('shows'));
    }

    private function said(int $piece): void
    {
        $by = ['user_id' => User::query()->value('id')];
        $unit = Unit::query()->with('order')->firstOrFail();
        GateAnswer::query()->create($by + [
            'piece_id' => $piece,
            'gate' => 'prepared',
            'passed' => false,
            'note' => 'A gap.',
            'answered_at' => now(),
        ]);
        DB::table('lots')->insert([
            'unit_id' => $unit->id,
            'seed' => 1,
            'is_tightened' => false,
            'pieces' => '[1,2]',
            'drawn' => '[1]',
            'plans' => '[]',
            'drawn_by' => $by['user_id'],
            'verdict' => 'refused',
        ]);
        DB::table('drills')->insert($by + [
            'sculpt_id' => $unit->sculpt_id,
            'standard_version_id' => $unit->order->standard_version_id,
            'tier' => $unit->tier,
            'number' => 1,
            'pictures' => '[]',
            'calls' => '[null]',
            'finished_at' => now(),
        ]);
    }

    /** @return iterable<string, array{string}> what a signature rests on, row by row */
    public static function beneath(): iterable
    {
        foreach (['sign_off_pieces', 'pieces', 'units', 'orders', 'users', 'standards', 'standard_versions', 'releases',
            'checks', 'answers', 'step_logs', 'sculpts', 'scheme_versions', 'faults'] as $table) {
            yield $table => [$table];
        }
    }

    #[DataProvider('beneath')]
    public function test_nothing_that_is_signed_goes_with_foreign_keys_switched_off(string $table): void
    {
        $before = $this->final();
        $count = DB::table($table)->count();
        self::assertGreaterThan(0, $count, $table);
        DB::statement('set foreign_key_checks = 0');
        try {
            DB::table($table)->delete();
            self::fail("$table is empty");
        } catch (QueryException $e) {
            self::assertMatchesRegularExpression('/cannot be (changed|deleted)|stays as it was/', $e->getMessage());
        } finally {
            DB::statement('set foreign_key_checks = 1');
        }
        self::assertSame([$before, $count], [$this->final(), DB::table($table)->count()]);
    }

    public function test_verify_names_the_first_broken_link_and_a_cut_tail(): void
    {
        self::assertSame(0, Artisan::call('ordotype:verify'));
        $head = (string) SignOff::query()->orderByDesc('number')->value('hash');
        self::assertSame(0, Artisan::call('ordotype:verify', ['--head' => $head]));
        self::assertSame(1, Artisan::call('ordotype:verify', ['--head' => str_repeat('a', 64)]));
        self::assertStringContainsString('records after it are missing', Artisan::output());
        self::assertSame(1, Artisan::call('ordotype:verify', ['--head' => 'short']));
    }

    public function test_a_bad_import_leaves_nothing_behind(): void
    {
        $order = Demo::json('orders/1-fresh.json');
        assert($order instanceof stdClass);
        $order->number = '99-001';
        $order->units[1]->sculpt = 'no-such-figure';
        $counts = [Order::query()->count(), Unit::query()->count()];
        try {
            app(ImportDocument::class)->text(Json::encode($order));
            self::fail('It was taken in.');
        } catch (FormatException $e) {
            self::assertSame('/units/1/sculpt', $e->problems[0]->path);
        }
        self::assertSame($counts, [Order::query()->count(), Unit::query()->count()]);

        $this->expectException(FormatException::class);
        app(ImportDocument::class)->text('{"format":"ordotype/sculpt@1","name":"Half"}');
    }

    public function test_export_of_an_import_is_equal(): void
    {
        self::assertSame(0, Artisan::call('ordotype:export', ['what' => 'standard']));
        self::assertSame(
            CanonicalJson::encode(Demo::json('standards/five-rungs.json')),
            CanonicalJson::encode(Json::decode(Artisan::output())),
        );
        foreach (Sculpt::query()->pluck('slug') as $slug) {
            Artisan::call('ordotype:export', ['what' => 'sculpt', 'name' => $slug]);
            self::assertSame(
                CanonicalJson::encode(Demo::json("sculpts/$slug.json")),
                CanonicalJson::encode(Json::decode(Artisan::output())),
            );
        }
        self::assertSame(1, Artisan::call('ordotype:export', ['what' => 'dragon']));
    }

    public function test_lists_ask_the_database_the_same_number_of_times_however_long_they_are(): void
    {
        $queries = function (string $path): int {
            $this->api('lead', 'GET', $path, null, 200);
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->api('lead', 'GET', $path, null, 200);
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $before = array_map($queries, ['orders', 'bench', 'checks', 'sign-offs']);
        $import = app(ImportDocument::class);
        for ($i = 0; $i < 6; $i++) {
            $order = Demo::json('orders/3-check.json');
            assert($order instanceof stdClass);
            $order->number = "98-00$i";
            $order->status = 'accepted';
            $import->text(Json::encode($order));
            $unit = $this->unit("98-00$i");
            $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 1], 200);
        }
        self::assertSame($before, array_map($queries, ['orders', 'bench', 'checks', 'sign-offs']));
    }

    /** @return list<string> */
    private function final(): array
    {
        return array_map(fn (string $table) => hash('sha256', (string) json_encode(DB::table($table)->get())), [
            'sign_offs',
            'sign_off_pieces',
            'standard_versions',
            'clauses',
            'step_logs',
            'checks',
            'answers',
            'faults',
            'releases',
            'scheme_versions',
            'pieces',
            'units',
            'orders',
            'activities',
            'gate_answers',
            'lots',
            'drills',
            'record_names',
            'photographs',
            'pictures',
            'share_links',
        ]);
    }
}
