<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\Models\StepLog;

/** Many models marked, taken back, offered, looked at and signed: in one request, all or none, asking as often as for two. */
final class ManyAtOnceTest extends StudioTestCase
{
    public function test_models_are_offered_all_or_none(): void
    {
        [, $ids, $steps] = $this->unitOf(3);
        $this->mark($ids, $steps);
        $this->api('painter', 'DELETE', 'bench/marks', ['pieces' => [$ids[1]], 'steps' => [$steps[3]]], 200);
        $refused = $this->api('painter', 'POST', 'bench/offers', ['pieces' => $ids], 409);
        self::assertStringStartsWith('Model 2: 1 step is still to be done', $refused->json('detail'));
        self::assertSame(['on_bench', 'on_bench', 'on_bench'], $this->stages($ids), 'none of them');
        $this->mark([$ids[1]], [$steps[3]]);
        $offered = $this->api('painter', 'POST', 'bench/offers', ['pieces' => $ids], 200);
        self::assertSame(['offered', 'offered', 'offered'], array_column($offered->json('pieces'), 'stage'));
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => $ids], 409);
    }

    public function test_marks_are_taken_back_all_or_none_and_twice_does_no_harm(): void
    {
        [, $ids, $steps] = $this->unitOf(2);
        $this->mark($ids, array_slice($steps, 0, 2));
        $back = fn (array $steps, int $status) => $this->api(
            'painter',
            'DELETE',
            'bench/marks',
            ['pieces' => $ids, 'steps' => $steps],
            $status,
        );
        $back([$steps[0], 'never:done:1'], 404)->assertJsonPath('errors.0.pointer', '/steps');
        self::assertSame(4, StepLog::query()->whereIn('piece_id', $ids)->count(), 'none of them');
        $back(array_slice($steps, 0, 2), 200)->assertJsonPath('pieces.0.done', []);
        self::assertSame(['planned', 'planned'], $this->stages($ids));
        $rows = StepLog::query()->withoutGlobalScope(StepLog::HISTORY)->whereIn('piece_id', $ids)->count();
        $back(array_slice($steps, 0, 2), 200);
        self::assertSame(
            $rows,
            StepLog::query()->withoutGlobalScope(StepLog::HISTORY)->whereIn('piece_id', $ids)->count(),
            'taken back once',
        );
    }

    public function test_tray_and_sign_off_ask_as_often_for_many_models_as_for_two(): void
    {
        [, $few, $many] = array_map(function (int $models): array {
            [$unit, $ids, $steps] = $this->unitOf($models);
            $this->mark($ids, $steps);
            $asked = [
                'back' => $this->queries(fn () => $this->api('painter', 'DELETE', 'bench/marks', [
                    'pieces' => $ids,
                    'steps' => ['never'],
                ], 404)),
                'offer' => $this->queries(fn () => $this->api('painter', 'POST', 'bench/offers', ['pieces' => $ids], 200)),
                'tray' => $this->queries(fn () => $this->api('lead', 'GET', "units/$unit/tray", null, 200)),
            ];
            $looks = array_column($this->api('lead', 'GET', "units/$unit/tray", null, 200)->json('looks'), 'key');
            foreach ($looks as $look) {
                $this->api('lead', 'PUT', "units/$unit/tray", ['look' => $look, 'answer' => 'yes'], 200);
            }
            $asked['tray with checks'] = $this->queries(fn () => $this->api('lead', 'GET', "units/$unit/tray", null, 200));
            $this->api('lead', 'POST', "units/$unit/tray", null, 200)->assertJsonPath('left', []);
            $asked['preview'] = $this->queries(fn () => $this->api('lead', 'POST', 'sign-offs/preview', ['pieces' => $ids], 200));
            $asked['sign'] = $this->queries(function () use ($ids): void {
                $this->api('lead', 'POST', 'sign-offs', ['pieces' => $ids, 'whole' => 'one_army'], 201);
            });
            self::assertSame(array_fill(0, $models, 'signed'), $this->stages($ids));

            return $asked;
        }, [2, 2, 8]); // the first has to read what the others find read
        self::assertSame($few, $many);
    }

    /** @return array{int, list<int>, list<string>} a released unit, ids of its models, its steps in their order */
    private function unitOf(int $models): array
    {
        $order = $this->api('desk', 'POST', 'orders', ['client' => 'A', 'title' => 'B'], 201)->json('id');
        $new = ['sculpt' => 'mudlark', 'tier' => 'muster', 'count' => $models];
        $unit = $this->api('desk', 'POST', "orders/$order/units", $new, 201)->json('id');
        $release = ['revision' => 1, 'despite' => 'Its colours come later.'];
        $this->api('lead', 'POST', "units/$unit/release", $release, 200);
        $batch = $this->api('painter', 'GET', "bench/$unit", null, 200)->json();

        return [$unit, array_column($batch['pieces'], 'id'), array_merge(...array_column($batch['passes'], 'steps'))];
    }

    /**
     * @param  list<int>  $ids
     * @param  list<string>  $steps
     */
    private function mark(array $ids, array $steps): void
    {
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => $ids, 'steps' => $steps], 200);
    }

    /**
     * @param  list<int>  $ids
     * @return list<string>
     */
    private function stages(array $ids): array
    {
        return Piece::query()->whereIn('id', $ids)->orderBy('id')->pluck('stage')->all();
    }
}
