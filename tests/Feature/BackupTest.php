<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;

/** The drill: back up, destroy, restore; and what is not whole is not taken. */
final class BackupTest extends StudioTestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(4)).'.tar.gz';
    }

    protected function tearDown(): void
    {
        @unlink($this->file);
        parent::tearDown();
    }

    public static function tearDownAfterClass(): void
    {
        // What was restored is not what the other tests begin with.
        self::$loaded = false;
        parent::tearDownAfterClass();
    }

    public function test_a_studio_that_was_destroyed_stands_again_with_its_chain_its_counts_and_its_pictures(): void
    {
        $counts = $this->counts();
        $head = DB::table('sign_offs')->orderByDesc('number')->value('hash');
        $logs = hash('sha256', (string) json_encode(DB::table('step_logs')->get()));
        $pictures = Storage::disk()->allFiles('pictures');
        self::assertNotSame([], $pictures);
        $shown = array_map(fn (string $path) => hash('sha256', (string) Storage::disk()->get($path)), $pictures);

        self::assertSame(0, Artisan::call('ordotype:backup', ['file' => $this->file]), Artisan::output());
        self::assertSame(0600, fileperms($this->file) & 0777);

        self::assertSame(1, Artisan::call('ordotype:restore', ['file' => $this->file]));
        self::assertStringContainsString('There is a studio here already', Artisan::output());

        DB::rollBack();
        DB::connection('migrate')->getSchemaBuilder()->dropAllTables();
        foreach ($pictures as $path) {
            Storage::disk()->delete($path);
        }
        $key = "$this->file.key";
        $restored = Artisan::call('ordotype:restore', ['file' => $this->file, '--key-file' => $key]);
        self::assertSame(0, $restored, Artisan::output());
        self::assertSame(config('app.key'), file_get_contents($key));
        unlink($key);

        self::assertSame($counts, $this->counts());
        self::assertSame($logs, hash('sha256', (string) json_encode(DB::table('step_logs')->get())));
        self::assertSame(0, Artisan::call('ordotype:verify', ['--head' => $head]), Artisan::output());
        self::assertSame(
            $shown,
            array_map(fn (string $path) => hash('sha256', (string) Storage::disk()->get($path)), $pictures),
        );
        // Its guards and its numbers came along.
        try {
            DB::table('sign_offs')->delete();
            self::fail('the guards are gone');
        } catch (\Illuminate\Database\QueryException $e) {
            self::assertStringContainsString('cannot be changed or deleted', $e->getMessage());
        }
        $number = fn () => $this->api('desk', 'POST', 'orders', ['client' => 'A', 'title' => 'B'], 201)->json('number');
        self::assertNotSame($number(), $number());
        DB::beginTransaction();
    }

    public function test_a_backup_that_was_touched_or_cut_is_refused_and_nothing_is_changed(): void
    {
        self::assertSame(0, Artisan::call('ordotype:backup', ['file' => $this->file]));
        $whole = (string) file_get_contents($this->file);
        $people = User::query()->count();
        $refused = function (string $says) use ($people): void {
            self::assertSame(1, Artisan::call('ordotype:restore', ['file' => $this->file, '--over' => true]));
            self::assertStringContainsString($says, Artisan::output());
            self::assertSame($people, User::query()->count());
        };
        file_put_contents($this->file, substr($whole, 0, (int) (strlen($whole) / 2)));
        $refused('it is no whole archive');
        file_put_contents($this->file, 'not an archive');
        $refused('it is no whole archive');

        file_put_contents($this->file, $whole);
        $folder = "$this->file.d";
        mkdir($folder);
        (new Process(['tar', '-xzf', $this->file, '-C', $folder]))->mustRun();
        file_put_contents("$folder/database.sql", "\n-- one line more\n", FILE_APPEND);
        (new Process(['tar', '-czf', $this->file, '-C', $folder, '.']))->mustRun();
        $refused('database.sql is not what it was');
        unlink("$folder/list.json");
        (new Process(['tar', '-czf', $this->file, '-C', $folder, '.']))->mustRun();
        $refused('it is no backup of a studio');
        (new Process(['rm', '-rf', $folder]))->mustRun();
        unlink($this->file);
        $refused('there is no file');
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        $counts = [];
        foreach (['users', 'standards', 'standard_versions', 'clauses', 'sculpts', 'schemes', 'paints', 'orders', 'units',
            'pieces', 'releases', 'step_logs', 'checks', 'answers', 'faults', 'sign_offs', 'activities', 'pictures'] as $table) {
            $counts[$table] = DB::table($table)->count();
        }

        return $counts;
    }
}
