<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BackupKey;
use App\Backup\CurrentStudio;
use App\Backup\Head;
use App\Backup\Restore;
use App\Backup\SealedReader;
use App\Backup\SealedWriter;
use App\Backup\Source;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Format\Json;
use Symfony\Component\Process\Process;

/** The drill: back up, restore beside, switch; and what is not whole, or not ours, is not taken. */
final class BackupTest extends StudioTestCase
{
    private const TEST_DATABASE = 'ordotype_test';

    private string $folder;

    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
        $this->file = "$this->folder/studio.ordotype";
        config([
            'ordotype.studio' => "$this->folder/studio.json",
            'ordotype.backup_key' => "$this->folder/backup.key",
            'ordotype.backups' => "$this->folder/backups",
        ]);
        BackupKey::make();
    }

    protected function tearDown(): void
    {
        $restored = CurrentStudio::database();
        foreach (['mariadb', 'aside', 'migrate'] as $name) {
            config(["database.connections.$name.database" => self::TEST_DATABASE]);
        }
        if ($restored !== self::TEST_DATABASE) {
            DB::purge('migrate');
            DB::connection('migrate')->statement("DROP DATABASE `$restored`");
            DB::purge('mariadb');
            DB::beginTransaction();
        }
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
        parent::tearDown();
    }

    public function test_a_restored_studio_has_its_rows_its_chain_its_guards_its_pictures_and_its_key(): void
    {
        $before = $this->sums();
        $head = DB::table('sign_offs')->orderByDesc('number')->value('hash');
        $pictures = Storage::disk()->allFiles('pictures');
        self::assertNotSame([], $pictures);

        self::assertSame(0, Artisan::call('ordotype:backup', ['file' => $this->file]), Artisan::output());
        self::assertSame(0600, fileperms($this->file) & 0777);
        self::assertSame(1, Artisan::call('ordotype:restore', ['file' => $this->file]));
        self::assertStringContainsString('There is a studio here already', Artisan::output());

        $lost = $pictures[0];
        $bytes = Storage::disk()->get($lost);
        Storage::disk()->delete($lost);
        $key = config('app.key');
        config(['app.key' => 'another']);
        DB::rollBack();
        self::assertSame(0, Artisan::call('ordotype:restore', ['file' => $this->file, '--over' => true]), Artisan::output());

        self::assertMatchesRegularExpression('/^ordotype_test_r[0-9a-f]{8}$/', CurrentStudio::database());
        self::assertSame(CurrentStudio::database(), DB::connection()->getDatabaseName());
        self::assertSame(self::TEST_DATABASE, CurrentStudio::before());
        self::assertNotNull(Cache::get('illuminate:queue:restart'), 'the worker of before ends');
        self::assertSame($key, studio_in_use("$this->folder/studio.json")['key'] ?? null);
        self::assertSame($before, $this->sums());
        self::assertSame($bytes, Storage::disk()->get($lost));
        self::assertSame(0, Artisan::call('ordotype:verify', ['--head' => $head]), Artisan::output());
        foreach (['sign_offs', 'activities', 'releases'] as $table) {
            try {
                DB::table($table)->delete();
                self::fail("the guards of $table are gone");
            } catch (QueryException $e) {
                self::assertStringContainsString('cannot be', $e->getMessage());
            }
        }
        $number = fn () => $this->api('desk', 'POST', 'orders', ['client' => 'A', 'title' => 'B'], 201)->json('number');
        self::assertNotSame($number(), $number());
    }

    public function test_nothing_of_a_backup_can_be_read_without_its_key_and_the_recovery_key_opens_it(): void
    {
        Artisan::call('ordotype:backup', ['file' => $this->file]);
        $bytes = (string) file_get_contents($this->file);
        foreach (['ordotype_', 'sign_offs', 'INSERT', (string) User::query()->value('email')] as $word) {
            self::assertStringNotContainsString($word, $bytes);
        }
        Artisan::call('ordotype:recovery-key');
        preg_match('/[0-9A-Z]{4}(-[0-9A-Z]{4}){13}/', Artisan::output(), $found);
        $paper = $found[0] ?? self::fail('no key was shown');
        unlink("$this->folder/backup.key");
        BackupKey::make();
        $this->refused('sealed with the key of another installation');
        self::assertSame(
            [Source::HEAD, Source::END],
            self::ends(SealedReader::open($this->file, BackupKey::spelled(strtolower(strtr($paper, '-0', ' o'))))),
        );
        $slip = substr_replace($paper, $paper[0] === 'A' ? 'B' : 'A', 0, 1);
        $this->expectExceptionMessage('That is no recovery key');
        BackupKey::spelled($slip);
    }

    public function test_a_byte_that_was_changed_anywhere_is_found_before_anything_is_done(): void
    {
        Artisan::call('ordotype:backup', ['file' => $this->file]);
        $whole = (string) file_get_contents($this->file);
        mt_srand(26);
        $places = [0, 20, 60, strlen($whole) - 1, ...array_map(fn () => mt_rand(0, strlen($whole) - 1), range(1, 25))];
        foreach ($places as $place) {
            file_put_contents($this->file, substr_replace($whole, chr(ord($whole[$place]) ^ 1 << mt_rand(0, 7)), $place, 1));
            $this->refused($place < strlen(SealedWriter::MARK) ? 'is not sealed' : '');
        }
        foreach ([0, 10, 70, (int) (strlen($whole) / 2), strlen($whole) - 1] as $length) {
            file_put_contents($this->file, substr($whole, 0, $length));
            $this->refused('');
        }
        file_put_contents($this->file, "{$whole}x");
        $this->refused('something was added at its end');
        unlink($this->file);
        $this->refused('there is no file');
    }

    /** @return iterable<string, array{string, callable(string, string): list<array{string, string}>}> */
    public static function spoiled(): iterable
    {
        $edit = fn (string $wanted, callable $change) => fn (string $kind, string $bytes) => $kind === $wanted
            ? [[$kind, $change($bytes)]]
            : [[$kind, $bytes]];
        $json = fn (string $wanted, callable $change) => $edit($wanted, function (string $bytes) use ($change): string {
            $read = Json::decode($bytes);

            return Json::compact($change($read) ?? $read);
        });
        yield 'a table of its own' => ['a table that a studio does not have', $json(Source::TABLE, function ($t): void {
            $t->table = $t->table === 'units' ? 'mysql`.`global_priv' : $t->table;
        })];
        yield 'a column that runs' => ['other columns', $json(Source::TABLE, function ($t): void {
            $t->columns[0] = $t->table === 'units' ? 'id`) VALUES (sleep(1)); -- ' : $t->columns[0];
        })];
        yield 'a path out of its folder' => ['no picture of a studio', $json(Source::FILE, function ($f): void {
            $f->path = '../../../bootstrap/app.php';
        })];
        yield 'another picture' => ['not what it was', $edit(Source::BYTES, fn () => '<?php system("id");')];
        yield 'fewer guards' => ['guards', $json(Source::HEAD, function ($h): void {
            $h->guards--;
        })];
        yield 'rows that are missing' => ['has not the rows', fn (string $kind, string $bytes) => $kind === Source::ROWS && str_contains($bytes, 'Sluice') ? [] : [[$kind, $bytes]]];
        yield 'a record that was changed' => ['chain', $edit(Source::ROWS, fn (string $b) => str_replace('\"outcome\":\"passed\"', '\"outcome\":\"failed\"', str_replace('\"version\":', '\"Version\":', $b)))];
        yield 'another head' => ['chain', $json(Source::HEAD, function ($h): void {
            $h->last = str_repeat('0', 64);
        })];
        yield 'a migration of its own' => ['newer version', $json(Source::HEAD, function ($h): void {
            $h->migrations[] = '../../another_of_its_own';
        })];
        yield 'a row that breaks a rule' => ['nothing', $edit(Source::ROWS, fn (string $b) => str_replace('"lead"', '"emperor of the whole wide world, and of all that lies under it"', $b))];
        yield 'no end' => ['come to an end', fn (string $kind, string $bytes) => $kind === Source::END ? [] : [[$kind, $bytes]]];
        yield 'something else' => ['what no backup holds', fn (string $kind, string $bytes) => $kind === Source::END ? [['x', '\! touch owned'], [$kind, $bytes]] : [[$kind, $bytes]]];
    }

    /**
     * Even by somebody who has the key: what a backup holds is rows and pictures, and they are held against its head.
     *
     * @param  callable(string, string): list<array{string, string}>  $spoil
     */
    #[\PHPUnit\Framework\Attributes\DataProvider('spoiled')]
    public function test_a_backup_that_says_what_none_says_changes_nothing(string $why, callable $spoil): void
    {
        Artisan::call('ordotype:backup', ['file' => $this->file]);
        $touched = false;
        $out = SealedWriter::to("$this->file.new", BackupKey::here());
        foreach (SealedReader::open($this->file, BackupKey::here())->records() as $kind => $bytes) {
            $become = $spoil($kind, $bytes);
            $touched = $touched || $become !== [[$kind, $bytes]];
            foreach ($become as [$as, $what]) {
                $out->add($as, $what);
            }
        }
        $out->close();
        self::assertTrue($touched, 'nothing was spoiled');
        rename("$this->file.new", $this->file);
        $before = $this->sums();
        $pictures = Storage::disk()->allFiles('pictures');
        $this->refused($why === 'nothing' ? 'Nothing was restored' : $why);
        self::assertSame($before, $this->sums());
        self::assertSame($pictures, Storage::disk()->allFiles('pictures'));
    }

    public function test_a_restore_that_is_killed_leaves_the_old_studio_or_the_new_one(): void
    {
        Artisan::call('ordotype:backup', ['file' => $this->file]);
        $before = $this->sums();
        DB::rollBack();
        mt_srand(27);
        $ended = ['killed' => 0, 'done' => 0];
        // Kills spread over the time that one takes, and one after it.
        for ($n = 0; $n < 6; $n++) {
            @unlink("$this->folder/studio.json");
            $process = new Process(
                [PHP_BINARY, 'artisan', 'ordotype:restore', $this->file, '--over'],
                dirname(__DIR__, 2),
                [
                    'DB_DATABASE' => self::TEST_DATABASE,
                    'APP_ENV' => 'local',
                    'ORDOTYPE_STUDIO' => "$this->folder/studio.json",
                    'ORDOTYPE_BACKUP_KEY' => "$this->folder/backup.key",
                ],
            );
            $process->start();
            $until = microtime(true) + ($n === 5 ? 120 : 0.3 + $n * 0.7 + mt_rand(0, 500) / 1000);
            while ($process->isRunning() && microtime(true) < $until) {
                usleep(10_000);
            }
            $process->isRunning() ? $process->signal(SIGKILL) : null;
            $process->wait();
            $switched = studio_in_use("$this->folder/studio.json");
            $ended[$switched === [] ? 'killed' : 'done']++;
            config(['database.connections.mariadb.database' => $switched['database'] ?? self::TEST_DATABASE]);
            DB::purge('mariadb');
            self::assertSame($before, $this->sums(), "after kill $n");
        }
        self::assertGreaterThan(0, $ended['killed']);
        self::assertGreaterThan(0, $ended['done']);
        // What they left behind goes with the next one.
        config(['database.connections.mariadb.database' => self::TEST_DATABASE]);
        @unlink("$this->folder/studio.json");
        DB::purge('mariadb');
        app(Restore::class)->beside(SealedReader::open($this->file, BackupKey::here()));
        self::assertSame(
            [CurrentStudio::database()],
            array_column(DB::select("SELECT schema_name AS name FROM information_schema.schemata WHERE schema_name LIKE 'ordotype\\_test\\_r%'"), 'name'),
        );
    }

    public function test_one_of_before_they_were_sealed_is_taken_in_by_those_who_know_it_and_only_its_rows(): void
    {
        $old = dirname(__DIR__).'/Fixtures/studio-of-before-seals.tar.gz';
        copy($old, $this->file);
        $this->refused('is not sealed');
        DB::rollBack();
        self::assertSame(0, Artisan::call('ordotype:restore', ['file' => $old, '--over' => true, '--unsealed' => true]), Artisan::output());
        self::assertGreaterThan(0, DB::table('sign_offs')->count());
        self::assertSame(0, Artisan::call('ordotype:verify'), Artisan::output());
    }

    public function test_the_clock_makes_one_a_day_keeps_so_many_and_says_how_old_the_last_is(): void
    {
        config(['ordotype.backups_kept' => 2]);
        self::assertSame(1, Artisan::call('ordotype:clock', ['--tell' => true]));
        self::assertStringContainsString('has not run yet', Artisan::output());
        $made = fn () => array_map(basename(...), glob("$this->folder/backups/studio-*") ?: []);
        self::assertSame(0, Artisan::call('ordotype:clock'));
        self::assertCount(1, $made());
        self::assertSame(0, Artisan::call('ordotype:clock'));
        self::assertCount(1, $made(), 'the last one is not old');
        foreach ([25, 50, 75] as $hours) {
            Carbon::setTestNow(Carbon::createFromTimestamp(time())->addHours($hours));
            self::assertSame(0, Artisan::call('ordotype:clock'));
            $newest = "$this->folder/backups/".max($made());
            touch($newest, now()->getTimestamp());
        }
        self::assertCount(2, $made());
        Carbon::setTestNow(now()->addHours(3)->addMinutes(10));
        self::assertSame(1, Artisan::call('ordotype:clock', ['--tell' => true]), 'it has not run for hours');
        self::assertStringContainsString('the last backup is of 3 hours ago', Artisan::output());
        unlink("$this->folder/backup.key");
        Carbon::setTestNow(now()->addHours(30));
        self::assertSame(1, Artisan::call('ordotype:clock'));
        Artisan::call('ordotype:clock', ['--tell' => true]);
        self::assertStringContainsString('the next one failed: The key that backups are sealed with', Artisan::output());
        Carbon::setTestNow();
    }

    private function refused(string $says): void
    {
        $people = User::query()->count();
        self::assertSame(1, Artisan::call('ordotype:restore', ['file' => $this->file, '--over' => true]));
        self::assertStringContainsString($says, Artisan::output());
        self::assertSame(self::TEST_DATABASE, CurrentStudio::database());
        self::assertFileDoesNotExist("$this->folder/studio.json");
        self::assertSame($people, User::query()->count());
        self::assertSame(
            [],
            DB::select("SELECT schema_name FROM information_schema.schemata WHERE schema_name LIKE 'ordotype\\_test\\_r%'"),
        );
    }

    /** @return array{string, string} the first and the last kind */
    private static function ends(SealedReader $reader): array
    {
        $kinds = [];
        foreach ($reader->records() as $kind => $_) {
            $kinds[] = $kind;
        }

        return [$kinds[0], end($kinds) ?: ''];
    }

    /** @return array<string, string> a sum of all rows by table */
    private function sums(): array
    {
        $sums = [];
        foreach (DB::select("SELECT table_name AS name FROM information_schema.tables
            WHERE table_schema = database() AND table_type = 'BASE TABLE'") as $table) {
            if (! in_array($table->name, ['cache', 'cache_locks', 'sessions', 'jobs', 'failed_jobs', 'migrations', 'answered_writes'], true)) {
                $rows = DB::table($table->name)->get()->map(fn ($row) => Json::compact($row))->sort()->implode("\n");
                $sums[$table->name] = hash('sha256', $rows);
            }
        }

        return $sums !== [] ? $sums : self::fail('there is nothing to compare');
    }
}
