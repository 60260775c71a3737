<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\CanonicalJson;
use PHPUnit\Framework\Attributes\DataProvider;
use stdClass;
use Tests\Support\Studio;

/** Studios that worked before releases were kept, from copies of their databases made then. */
final class ReleasesMigrationTest extends StudioTestCase
{
    /** Tables whose rows stay as they are. */
    private const UNTOUCHED = [
        'orders',
        'answers',
        'faults',
        'sign_offs',
        'sign_off_pieces',
        'amendments',
        'activities',
    ];

    /** @var array<string, list<stdClass>> rows by table, before the migration */
    private static array $before = [];

    protected function setUp(): void
    {
        self::$loaded = false;
        parent::setUp();
    }

    public static function tearDownAfterClass(): void
    {
        self::$loaded = false;
        parent::tearDownAfterClass();
    }

    protected function load(): void
    {
        $database = Studio::fromDump($this->providedData()[0]);
        foreach ([...self::UNTOUCHED, 'units', 'pieces', 'checks', 'step_logs'] as $table) {
            self::$before[$table] = array_values($database->table($table)->orderByRaw('1, 2')->get()->all());
        }
        Artisan::call('migrate', ['--database' => 'migrate', '--force' => true]);
    }

    /** @return array<string, array{string, int}> */
    public static function studios(): array
    {
        return [
            'the demo' => ['studio-before-releases', 0],
            'one in which finished work was raised' => ['studio-raised-before-releases', 100],
        ];
    }

    #[DataProvider('studios')]
    public function test_everything_is_there_and_what_was_released_stands_as_it_was_stored(
        string $dump,
        int $covered,
    ): void {
        foreach (self::UNTOUCHED as $table) {
            self::assertNotSame([], $table === 'amendments' ? [0] : self::$before[$table], $table);
            // Columns that came later are not looked at.
            $columns = array_diff(array_keys((array) (self::$before[$table][0] ?? ['id' => 0])), ['overrules']);
            self::assertEquals(
                array_map(
                    fn ($row) => (object) array_intersect_key((array) $row, array_flip($columns)),
                    self::$before[$table],
                ),
                array_values(DB::table($table)->orderByRaw('1, 2')->get($columns)->all()),
                $table,
            );
        }
        self::assertSame(0, Artisan::call('ordotype:verify'), 'the chain is whole, its records byte for byte');
        $this->logsAreThere($covered);
        $released = 0;
        foreach (self::$before['units'] as $was) {
            $row = ReleaseRow::query()->where('unit_id', $was->id)->first();
            self::assertSame($was->plan === null, $row === null, "unit $was->id");
            if ($row !== null) {
                $this->isAsStored($was, $row);
                $released++;
            }
        }
        self::assertGreaterThan(4, $released);
        foreach (self::$before['checks'] as $was) {
            $check = Check::query()->with('piece')->findOrFail($was->id);
            self::assertSame(
                [$was->piece_id, $was->verdict, $was->closed_at === null],
                [$check->piece_id, $check->verdict, $check->closed_at === null],
            );
            self::assertSame($check->piece->unit_id, ReleaseRow::query()->findOrFail($check->release_id)->unit_id);
        }
    }

    #[DataProvider('studios')]
    public function test_bench_check_and_plan_go_on_from_it(string $dump): void
    {
        $units = Unit::query()
            ->whereIn('id', ReleaseRow::query()->pluck('unit_id'))
            ->get();
        foreach ($units as $unit) {
            $stored = json_decode((string) collect(self::$before['units'])->firstWhere('id', $unit->id)->plan);
            $batch = $this->api('lead', 'GET', "bench/$unit->id", null, 200);
            self::assertCount(count($stored->passes), $batch->json('passes'));
            $this->api('lead', 'GET', "units/$unit->id/plan", null, 200);
        }
        foreach (Check::query()->pluck('id') as $check) {
            $shown = $this->api('lead', 'GET', "checks/$check", null, 200);
            self::assertGreaterThan(3, count($shown->json('questions')));
        }
    }

    private function logsAreThere(int $least): void
    {
        $covered = 0;
        self::assertSame(count(self::$before['step_logs']), DB::table('step_logs')->count());
        foreach (self::$before['step_logs'] as $was) {
            $now = DB::table('step_logs')->find($was->id);
            self::assertInstanceOf(stdClass::class, $now);
            $over = preg_match('/^under:\d+:(.*)$/', $was->step, $key) === 1;
            self::assertSame([$over ? $key[1] : $was->step, $over], [$now->step, $now->covered_by !== null]);
            self::assertSame(
                [$was->minutes, null, $was->skipped, $was->user_id],
                [$now->planned_minutes, $now->minutes, $now->skipped, $now->user_id],
            );
            $covered += $over ? 1 : 0;
        }
        self::assertGreaterThanOrEqual($least, $covered);
    }

    private function isAsStored(stdClass $was, ReleaseRow $row): void
    {
        $stored = Json::decode($was->plan);
        $document = Json::decode($row->document);
        assert($stored instanceof stdClass && $document instanceof stdClass);
        self::assertTrue((bool) $row->reconstructed && $document->reconstructed);
        self::assertSame(hash('sha256', $row->document), $row->sha256);
        self::assertCount(count($stored->steps), $document->steps);
        foreach ($stored->steps as $i => $step) {
            // Plans of the first versions had no keys: they were worked out from area, technique and pass.
            $place = $step->technique === 'masking' ? "no$step->no" : $step->pass;
            self::assertSame(
                $step->key ?? ($step->area ?? '*').":$step->technique:$place",
                $document->steps[$i]->key,
            );
            foreach (get_object_vars($step) as $field => $value) {
                self::assertSame(
                    CanonicalJson::encode($value),
                    CanonicalJson::encode($document->steps[$i]->{$field} ?? null),
                    "unit $was->id, step $i: $field",
                );
            }
        }
        foreach (
            Piece::query()
                ->where('unit_id', $was->id)
                ->whereNotIn('stage', ['lost', 'cancelled'])
                ->get() as $piece
        ) {
            $own = json_decode((string) collect(self::$before['pieces'])->firstWhere('id', $piece->id)->steps, true);
            $kind = collect($document->kinds)->first(fn (stdClass $k) => in_array($piece->number, $k->pieces, true));
            self::assertEqualsCanonicalizing($own ?? array_column($document->steps, 'key'), $kind->steps);
        }
    }
}
