<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\DrillRun;
use Illuminate\Support\Facades\Queue;

/** Training the eye: the same pictures for everybody, told after they were called. */
final class DrillTest extends StudioTestCase
{
    public function test_a_drill_is_called_picture_by_picture_and_tells_what_was_in_it_only_then(): void
    {
        Queue::fake();
        $empty = $this->api('painter', 'GET', 'drill', null, 200);
        self::assertNull($empty->json('run'));
        self::assertSame([0, 0, 0, 0], array_values(array_intersect_key(
            $empty->json('results'),
            array_flip(['found', 'missed', 'false', 'right']),
        )));
        self::assertNull($empty->json('results.with_standard'));
        $body = ['sculpt' => 'sluice-warden', 'tier' => 'banner'];
        $begun = $this->api('painter', 'POST', 'drill', $body, 201)->json('run');
        self::assertSame($begun, $this->api('painter', 'POST', 'drill', $body, 201)->json('run'), 'it goes on');
        self::assertSame(1, DrillRun::query()->count());
        foreach ($begun['pictures'] as $picture) {
            self::assertSame([false, null, null], [$picture['is_called'], $picture['outcome'], $picture['planted']]);
        }
        $this->api(null, 'GET', "drawn/{$begun['pictures'][0]['address']}", null, 200);
        $planted = DrillRun::query()->sole()->pictures;
        // Called right all through.
        foreach ($planted as $place => $p) {
            $call = ['picture' => $place, 'area' => $p['counts'] ? $p['area'] : null];
            $shown = $this->api('painter', 'PUT', "drill/{$begun['id']}", $call, 200)->json();
            self::assertContains($shown['run']['pictures'][$place]['outcome'], ['found', 'right']);
        }
        self::assertTrue($shown['run']['finished']);
        self::assertSame(8, $shown['results']['found'] + $shown['results']['right']);
        self::assertEquals(1, $shown['results']['with_standard'], 'it agrees in all');
        // What was called stays called.
        $this->api('painter', 'PUT', "drill/{$begun['id']}", ['picture' => 0, 'area' => 'rim'], 200);
        self::assertSame($shown['results'], $this->api('painter', 'GET', 'drill', null, 200)->json('results'));
        $this->api('painter', 'PUT', "drill/{$begun['id']}", ['picture' => 50], 404);
        $this->api('odo', 'PUT', "drill/{$begun['id']}", ['picture' => 0], 404);

        // The lead sees the same pictures, and calls nothing: nothing is agreed but by chance.
        $lead = $this->api('lead', 'POST', 'drill', $body, 201)->json('run');
        self::assertSame(array_column($begun['pictures'], 'address'), array_column($lead['pictures'], 'address'));
        foreach (array_keys($planted) as $place) {
            $mine = $this->api('lead', 'PUT', "drill/{$lead['id']}", ['picture' => $place, 'area' => null], 200)->json();
        }
        $missed = count(array_filter($planted, fn (array $p) => $p['counts']));
        self::assertSame($missed, $mine['results']['missed']);
        self::assertSame($missed, array_sum(array_column($mine['results']['hardest'], 'missed')));
        self::assertEquals(0, $this->api('painter', 'GET', 'drill', null, 200)->json('results.with_lead'));

        // The next one of the lead holds what was missed; the figure must have outlines, the tier be offered.
        $next = $this->api('lead', 'POST', 'drill', $body, 201)->json('run');
        self::assertGreaterThan($lead['number'], $next['number']);
        $this->api('lead', 'POST', 'drill', ['tier' => 'nowhere'] + $body, 422);
        $this->api('lead', 'POST', 'drill', ['sculpt' => 'nobody'] + $body, 404);
    }
}
