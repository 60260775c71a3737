<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use App\Models\Activity;
use App\Models\ReleaseRow;
use App\Models\Unit;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\ReleaseFormat;
use Ordotype\Core\Format\ReleaseReader;
use Ordotype\Core\Foundation\CanonicalJson;
use stdClass;

/** What a unit went to the bench with is one record, from which bench, check, repair and sign-off work. */
final class ReleaseTest extends StudioTestCase
{
    public function test_a_release_keeps_to_its_schema_and_reads_back_to_the_same_text(): void
    {
        foreach (ReleaseRow::query()->get() as $row) {
            $document = Json::decode($row->document);
            assert($document instanceof stdClass);
            SchemaCheck::against('release@1', $document);
            SchemaCheck::against('standard@1', $document->standard);
            SchemaCheck::against('sculpt@1', $document->sculpt);
            SchemaCheck::against('plan@1', $document->kinds[0]->plan);
            $again = ReleaseFormat::write(ReleaseReader::read($document));
            // The plan of a kind is shown as its document; only what bench, check and sign-off need of it is read.
            foreach ([...$document->kinds, ...$again->kinds] as $kind) {
                $kind->plan = array_map(
                    fn (stdClass $r) => [$r->area, $r->subject, $r->state],
                    $kind->plan->requirements,
                );
            }
            foreach (get_object_vars($document) as $field => $value) {
                self::assertSame(Json::compact($value), Json::compact($again->{$field}), "release $row->id: $field");
            }
            self::assertSame(hash('sha256', $row->document), $row->sha256);
        }
        self::assertGreaterThan(4, ReleaseRow::query()->count());
    }

    public function test_what_was_released_does_not_move_when_colours_catalogue_and_faults_do(): void
    {
        $unit = $this->unit('26-033');
        $check = DB::table('checks')->whereNull('closed_at')->value('id');
        $look = fn (): array => [
            'bench' => $this->api('lead', 'GET', "bench/$unit->id", null, 200)->json(),
            'check' => $this->api('lead', 'GET', "checks/$check", null, 200)->json(),
            'plan' => $this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('plan'),
        ];
        $before = $look();
        // Straight into the rows, past every rule that would make a new version of them; what is in use does not budge.
        foreach (DB::table('scheme_versions')->get() as $version) {
            $colours = str_replace(
                ['Bilge Green', 'Silt Wash'],
                ['Weathered Red', 'Rim Black'],
                (string) $version->document,
            );
            try {
                DB::table('scheme_versions')
                    ->where('id', $version->id)
                    ->update(['document' => $colours]);
            } catch (QueryException $e) {
                self::assertStringContainsString('in use stay as they were', $e->getMessage());
            }
            DB::table('schemes')
                ->where('id', $version->scheme_id)
                ->update(['document' => $colours]);
        }
        DB::table('paints')->update(['hex' => '#123456']);
        $this->catalogueDoubled($unit->order_id);
        $this->app->forgetScopedInstances();
        self::assertEquals($before, $look());
        $fresh = $this->unit('26-041');
        $this->catalogueDoubled($fresh->order_id);
        $plan = $this->api('lead', 'GET', "units/$fresh->id/plan", null, 200)->json('techniques.0.name');
        self::assertStringStartsWith('other ', $plan, 'what is not released is planned with what holds now');
    }

    public function test_a_lost_piece_makes_the_next_release_and_the_first_is_kept(): void
    {
        $unit = $this->unit('26-038');
        $first = ReleaseRow::query()->where('unit_id', $unit->id)->firstOrFail();
        $piece = $unit
            ->pieces()
            ->whereIn('stage', ['planned', 'on_bench'])
            ->orderByDesc('number')
            ->firstOrFail();
        $this->api(
            'lead',
            'POST',
            "pieces/$piece->id/move",
            ['move' => 'lose', 'reason' => 'Fell off the shelf.'],
            200,
        );
        $rows = ReleaseRow::query()->where('unit_id', $unit->id)->orderBy('number')->get();
        self::assertSame([1, 2], $rows->pluck('number')->all());
        self::assertSame($first->document, $rows[0]?->document);
        $pieces = fn (ReleaseRow $r): array => array_merge(
            ...array_column(json_decode($r->document, true)['kinds'], 'pieces'),
        );
        self::assertContains($piece->number, $pieces($first));
        self::assertNotContains($piece->number, $pieces($rows[1] ?? $first));
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200);
        self::assertSame(2, $batch->json('unit.release'));
        self::assertNotContains($piece->id, array_column($batch->json('pieces'), 'id'), 'the bench does not show it');
    }

    public function test_what_is_missing_is_said_before_a_unit_goes_and_it_comes_back_while_nothing_is_done(): void
    {
        $order = $this->api('desk', 'POST', 'orders', ['client' => 'Nobody Yet', 'title' => 'Bare'], 201);
        self::assertNull($order->json('scheme'), 'no scheme of somebody else');
        $this->api(
            'desk',
            'POST',
            "orders/{$order->json('id')}/units",
            ['sculpt' => 'mudlark', 'tier' => 'muster', 'count' => 2],
            201,
        );
        $unit = Unit::query()->where('order_id', $order->json('id'))->firstOrFail();
        $refused = $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 1], 409);
        $missing = implode(' ', $refused->json('current.missing'));
        self::assertStringContainsString('enquiry', $missing);
        self::assertStringContainsString('no colours', $missing);
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 1, 'despite' => 'A trial.'], 200);
        $this->api('lead', 'GET', "bench/$unit->id", null, 200)->assertJsonPath('unit.untouched', true);
        $written = Activity::query()->where('action', 'plan.released')->orderByDesc('id')->firstOrFail();
        self::assertStringContainsString('A trial.', (string) json_encode($written->after));
        $this->api('painter', 'DELETE', "units/$unit->id/release", ['revision' => 2], 403);
        $this->api('lead', 'DELETE', "units/$unit->id/release", ['revision' => 1], 409);
        $back = $this->api('lead', 'DELETE', "units/$unit->id/release", ['revision' => 2], 200);
        self::assertFalse($back->json('unit.released'));
        $this->api('painter', 'GET', "bench/$unit->id", null, 409);
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 3, 'despite' => 'Now for good.'], 200);
        self::assertSame(
            [1, 2],
            ReleaseRow::query()->where('unit_id', $unit->id)->orderBy('number')->pluck('number')->all(),
        );
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200);
        $mark = ['pieces' => [$batch->json('pieces.0.id')], 'steps' => [$batch->json('passes.0.steps.0')]];
        $this->api('painter', 'POST', 'bench/marks', $mark, 200);
        $this->api('lead', 'DELETE', "units/$unit->id/release", ['revision' => 4], 409);
    }

    public function test_a_release_is_neither_changed_nor_deleted_in_the_database(): void
    {
        $row = ReleaseRow::query()->firstOrFail();
        foreach (
            [
                fn () => DB::table('releases')
                    ->where('id', $row->id)
                    ->update(['document' => '{}']),
                fn () => DB::table('releases')->where('id', $row->id)->delete(),
            ] as $attempt
        ) {
            try {
                $attempt();
                self::fail('it went through');
            } catch (QueryException $e) {
                self::assertMatchesRegularExpression('/cannot be|denied/', $e->getMessage());
            }
        }
    }

    public function test_minutes_that_were_told_are_kept_beside_those_that_were_planned(): void
    {
        $unit = $this->unit('26-038');
        $before = collect(
            $this->api('lead', 'GET', "orders/$unit->order_id", null, 200)->json('unit_plans'),
        )->firstWhere('unit', $unit->id);
        self::assertNull($before['spent'], 'nothing was timed, and nothing is booked');
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200);
        $pass = $batch->json('passes')[$batch->json('next_pass')];
        $open = collect($batch->json('pieces'))->first(
            fn (array $p) => array_diff($pass['steps'], $p['done']) !== [] &&
                in_array($p['stage'], ['planned', 'on_bench'], true),
        );
        self::assertNotNull($open, 'the bench opens at a pass that is still to be done');
        $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => [$open['id']], 'steps' => $pass['steps'], 'minutes' => 7.5],
            200,
        );
        $after = collect(
            $this->api('lead', 'GET', "orders/$unit->order_id", null, 200)->json('unit_plans'),
        )->firstWhere('unit', $unit->id);
        self::assertSame(7.5, $after['spent']);
        self::assertGreaterThan($before['planned_done'], $after['planned_done']);
    }

    /** Puts an order on a version of the standard whose techniques take twice the time and have other names. */
    private function catalogueDoubled(int $order): void
    {
        $version = (array) DB::table('standard_versions')
            ->where('status', 'published')
            ->orderByDesc('number')
            ->first();
        $document = json_decode((string) $version['document']);
        foreach ($document->techniques as $technique) {
            $technique->hand *= 2;
            $technique->name = "other $technique->name";
        }
        $text = CanonicalJson::encode($document);
        $next = [
            'id' => null,
            'number' => $version['number'] + 1,
            'document' => $text,
            'sha256' => hash('sha256', $text),
        ];
        $id = DB::table('standard_versions')->insertGetId($next + $version);
        DB::table('orders')
            ->where('id', $order)
            ->update(['standard_version_id' => $id]);
    }
}
