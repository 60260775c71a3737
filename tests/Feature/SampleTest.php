<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use App\Models\LotRow;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\Unit;
use App\Models\User;
use Ordotype\Core\Format\Json;

/** A unit whose tier has a sample of it checked. */
final class SampleTest extends StudioTestCase
{
    public function test_what_was_not_drawn_passes_with_its_unit_when_the_sample_is_good(): void
    {
        $unit = $this->offered(20);
        $shown = $this->api('lead', 'GET', "units/$unit->id/lot", null, 200)->json();
        // Lot 20 at level II is letter C, 5; at AQL 4.0 letter C has its arrow to B, 3 with 0 (Table II-A).
        self::assertSame([true, 20, false, true], [
            $shown['is_sampled'],
            $shown['size'],
            $shown['is_tightened'],
            $shown['may_draw'],
        ]);
        self::assertSame([3, 0], [$shown['plans'][0]['n'], $shown['plans'][0]['accepts']]);
        self::assertNull($shown['drawn']);
        $listed = fn (): ?array => collect($this->api('lead', 'GET', 'checks', null, 200)->json('data'))->firstWhere('id', $unit->id)['sample'];
        self::assertSame(['drawn' => null, 'verdict' => null], $listed());
        $drawn = $this->api('lead', 'POST', "units/$unit->id/lot", null, 201)->json();
        $again = $this->api('lead', 'POST', "units/$unit->id/lot", null, 201)->json();
        self::assertSame($drawn['drawn'], $again['drawn'], 'drawn once');
        self::assertSame(1, LotRow::query()->count());
        self::assertSame(User::query()->where('name', 'Ines Tallow')->value('id'), LotRow::query()->value('painter_id'));
        self::assertSame(['drawn' => $drawn['drawn'], 'verdict' => 'open'], $listed());
        $beside = array_column($this->api('lead', 'GET', "units/$unit->id/tray", null, 200)->json('models'), 'number');
        self::assertEqualsCanonicalizing($drawn['drawn'], $beside, 'only these are looked at');
        foreach ($drawn['drawn'] as $i => $number) {
            self::assertSame('open', $this->api('lead', 'GET', "units/$unit->id/lot", null, 200)->json('verdict'), "before $i");
            $this->check($unit, $number, false);
        }
        self::assertSame('accepted', $this->api('lead', 'GET', "units/$unit->id/lot", null, 200)->json('verdict'));
        self::assertSame(['passed'], $unit->pieces()->distinct()->pluck('stage')->all());
        $ids = $unit->pieces()->pluck('id')->all();
        $record = $this->api('lead', 'POST', 'sign-offs', ['pieces' => $ids], 201)->json('record');
        self::assertSame($drawn['drawn'], $record['pieces'][0]['sample']['drawn']);
        self::assertSame($drawn['seed'], $record['pieces'][19]['sample']['seed']);
        SchemaCheck::against('certificate@3', Json::decode((string) SignOff::query()->latest('number')->value('record')));
    }

    public function test_one_bad_model_too_many_and_every_one_is_checked(): void
    {
        $unit = $this->offered(20);
        $drawn = $this->api('lead', 'POST', "units/$unit->id/lot", null, 201)->json('drawn');
        $this->check($unit, $drawn[0], true);
        self::assertSame('refused', $this->api('lead', 'GET', "units/$unit->id/lot", null, 200)->json('verdict'));
        self::assertSame(19, $unit->pieces()->where('stage', 'offered')->count(), 'none of them passed');
        $this->check($unit, $drawn[1], false);
        self::assertSame(18, $unit->pieces()->where('stage', 'offered')->count());
    }

    public function test_where_the_tier_does_not_say_so_nothing_is_drawn(): void
    {
        $unit = $this->unit('26-033');
        $shown = $this->api('lead', 'GET', "units/$unit->id/lot", null, 200)->json();
        self::assertSame([false, [], false], [$shown['is_sampled'], $shown['plans'], $shown['may_draw']]);
        $this->api('lead', 'POST', "units/$unit->id/lot", null, 409);
    }

    private function offered(int $count): Unit
    {
        $order = $this->api('desk', 'POST', 'orders', ['client' => 'Vesper Row', 'title' => 'Many'], 201)->json('id');
        $body = ['sculpt' => 'sluice-warden', 'tier' => 'muster', 'count' => $count];
        $this->api('desk', 'POST', "orders/$order/units", $body, 201);
        $unit = Unit::query()->where('order_id', $order)->firstOrFail();
        $sampled = [
            'level' => 'unit',
            'do' => 'set',
            'clause' => 'muster.accept',
            'technique' => null,
            'scope' => (object) [],
            'values' => ['inspect' => 'sample', 'level' => 'II', 'aql' => ['major' => 4.0, 'minor' => 10.0]],
            'reason' => 'A horde.',
            'price' => null,
            'on' => null,
        ];
        $body = ['revision' => $unit->revision, 'amendment' => $sampled];
        $revision = $this->api('lead', 'POST', "units/$unit->id/amendments", $body, 200)->json('unit.revision');
        $body = ['revision' => $revision, 'despite' => 'Agreed.'];
        $this->api('lead', 'POST', "units/$unit->id/release", $body, 200);
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200);
        $ids = array_column($batch->json('pieces'), 'id');
        $steps = array_merge(...array_column($batch->json('passes'), 'steps'));
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => $ids, 'steps' => $steps], 200);
        foreach ($ids as $id) {
            $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$id]], 200);
        }

        return $unit;
    }

    private function check(Unit $unit, int $number, bool $isBad): void
    {
        $piece = Piece::query()->where('unit_id', $unit->id)->where('number', $number)->firstOrFail();
        $check = $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json();
        if ($isBad) {
            $asked = collect($check['questions'])->firstOrFail(
                fn (array $q) => in_array('overspill', $q['faults'], true) && in_array('coat', $q['areas'], true),
            );
            $this->api('lead', 'PUT', "checks/{$check['id']}/answers", [
                'question' => $asked['key'],
                'answer' => 'fault',
                'faults' => [['fault' => 'overspill', 'area' => 'coat', 'spread' => 'whole']],
            ], 200)->assertJsonPath('faults.0.severity', 'major');
        }
        foreach ($check['looks'] as $look) {
            $this->api('lead', 'PUT', "checks/{$check['id']}/looks", ['look' => $look['key'], 'answer' => 'yes'], 200);
        }
        $verdict = ['verdict' => $isBad ? 'rework' : 'passed'];
        $this->api('lead', 'POST', "checks/{$check['id']}/verdict", $verdict, 200);
    }
}
