<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BackupKey;
use App\Backup\Upgrade;
use App\Exceptions\InstallationRefused;
use App\Models\Order;
use App\Models\OverruleRow;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Support\Studio;

/** Tables that change under a studio: all of it is there afterwards, or everything stands as it was. */
final class UpgradeTest extends StudioTestCase
{
    /** Who is signed in and what is cached may be forgotten. */
    private const FLEETING = ['cache', 'cache_locks', 'sessions', 'jobs', 'failed_jobs', 'migrations', 'answered_writes'];

    private const HALF = <<<'PHP'
        <?php
        return new class extends Illuminate\Database\Migrations\Migration {
            public function up(): void
            {
                Illuminate\Support\Facades\Schema::create('half_done', fn ($table) => $table->id());
                Illuminate\Support\Facades\DB::statement('alter table orders drop column brief');
                %s
            }
        };
        PHP;

    private string $folder;

    protected function setUp(): void
    {
        self::$loaded = false;
        parent::setUp();
        DB::rollBack();
        $this->folder = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(4));
        mkdir("$this->folder/migrations", recursive: true);
        config(['ordotype.backups' => "$this->folder/backups", 'ordotype.backup_key' => "$this->folder/backup.key"]);
        BackupKey::make();
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
        DB::beginTransaction();
        parent::tearDown();
    }

    public static function tearDownAfterClass(): void
    {
        self::$loaded = false;
        parent::tearDownAfterClass();
    }

    public function test_a_change_that_fails_half_way_is_taken_back_says_why_and_can_be_tried_again(): void
    {
        $before = $this->rows();
        $this->migration("throw new RuntimeException('the disk is full');");
        try {
            $this->upgrade();
            self::fail('it did not fail');
        } catch (InstallationRefused $e) {
            self::assertStringContainsString('2030_01_01_000000_half failed', $e->getMessage());
            self::assertStringContainsString('the disk is full', $e->getMessage());
        }
        self::assertFalse(Schema::hasTable('half_done'));
        self::assertSame($before, $this->rows());
        self::assertFileDoesNotExist("$this->folder/backups/changing-tables.json");

        unlink("$this->folder/migrations/2030_01_01_000000_half.php");
        $this->migration('', 'mended');
        $this->upgrade();
        self::assertTrue(Schema::hasTable('half_done'));
        self::assertFalse(Schema::hasColumn('orders', 'brief'));
        self::assertCount(2, glob("$this->folder/backups/before-migration-*") ?: []);
    }

    public function test_a_change_that_was_cut_off_is_taken_back_at_the_next_start(): void
    {
        $before = $this->rows();
        $this->migration('exit(9);');
        $cut = Process::fromShellCommandline(
            escapeshellarg(PHP_BINARY).' '.escapeshellarg(dirname(__DIR__).'/Support/upgrade.php').' '.
                escapeshellarg($this->folder),
        );
        self::assertSame(9, $cut->run(), $cut->getErrorOutput());
        self::assertTrue(Schema::hasTable('half_done'), 'it was cut off before anything was changed');

        unlink("$this->folder/migrations/2030_01_01_000000_half.php");
        $told = $this->upgrade();
        self::assertStringContainsString('was cut off', $told[0]);
        self::assertFalse(Schema::hasTable('half_done'));
        self::assertSame($before, $this->rows());
    }

    public function test_a_studio_of_before_lists_and_people_keeps_every_row_and_works_on(): void
    {
        Studio::fromDump('studio-before-lists');
        DB::purge();
        $overrule = ['rule' => 'dry_through', 'earlier' => 'coat:wash_all_over', 'later' => 'coat:drybrush', 'reason' => 'It is dry by then.', 'by' => 'Runa Wick', 'at' => '2026-11-25T10:00:00Z'];
        $order = Order::query()->where('number', '26-038')->value('id');
        DB::table('orders')->where('id', $order)->update(['overrules' => json_encode([$overrule])]);
        $before = $this->tables();
        self::assertGreaterThan(500, count($before['step_logs']));
        self::assertCount(1, $before['access_tokens']);
        $this->upgrade();
        // Tokens have the names that the library gives them.
        $now = ['tokenable_id' => 'user_id', 'token' => 'hash'];
        foreach ($before as $table => $rows) {
            if ($table === 'orders') {
                // They have a table of their own.
                $rows = array_map(fn (array $row) => array_diff_key($row, ['overrules' => true]), $rows);
            }
            $columns = array_map(
                fn (string $name) => $table === 'access_tokens' && in_array($name, $now, true)
                    ? array_search($name, $now, true)." as `$name`"
                    : "`$name`",
                array_keys($rows[0] ?? []),
            );
            $table = $table === 'access_tokens' ? 'personal_access_tokens' : $table;
            $after = $rows === [] ? [] : DB::table($table)->selectRaw(implode(', ', $columns))->get()->all();
            self::assertSame(self::sorted($rows), self::sorted($after), $table);
        }
        self::assertSame([[$order, $overrule]], OverruleRow::query()->get()->map(fn ($o) => [$o->order_id, $o->facts()])->all());
        $batch = $this->unit('26-038');
        $this->api('painter', 'GET', "bench/$batch->id", null, 200);
        $number = $this->api('desk', 'POST', 'orders', ['client' => 'Ada Fen', 'title' => 'The next'], 201)->json('number');
        self::assertNotContains($number, array_column($before['orders'], 'number'));
        self::assertSame(0, Artisan::call('ordotype:verify'), Artisan::output());
    }

    private function migration(string $then, string $name = 'half'): void
    {
        file_put_contents("$this->folder/migrations/2030_01_01_000000_$name.php", sprintf(self::HALF, $then));
    }

    /** @return list<string> what was told */
    private function upgrade(): array
    {
        $told = [];
        app(Upgrade::class)->run(function (string $line) use (&$told): void {
            $told[] = $line;
        }, [database_path('migrations'), "$this->folder/migrations"]);

        return $told;
    }

    /** @return array<string, string> a sum of all rows by table */
    private function rows(): array
    {
        DB::purge();

        return array_map(fn (array $rows) => hash('sha256', implode("\n", self::sorted($rows))), $this->tables());
    }

    /** @return array<string, list<array<string, mixed>>> all that is to last */
    private function tables(): array
    {
        $tables = [];
        foreach (DB::select("select table_name as name from information_schema.tables
            where table_schema = database() and table_type = 'BASE TABLE'") as $table) {
            if (! in_array($table->name, self::FLEETING, true)) {
                $tables[$table->name] = DB::table($table->name)->get()->map(fn ($row) => (array) $row)->all();
            }
        }

        return $tables !== [] ? $tables : throw new RuntimeException('there is nothing to compare');
    }

    /**
     * @param  array<mixed>  $rows
     * @return list<string>
     */
    private static function sorted(array $rows): array
    {
        $lines = array_map(fn ($row) => (string) json_encode($row), $rows);
        sort($lines);

        return $lines;
    }
}
