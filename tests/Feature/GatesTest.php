<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;

/** Gates: looked at for a tray at once, and nothing goes on past one that refused it. */
final class GatesTest extends StudioTestCase
{
    public function test_a_piece_comes_to_its_gates_and_does_not_go_on_past_one_that_refused_it(): void
    {
        [$unit, $pieces] = $this->onBench();
        $steps = $this->steps($unit);
        $gates = $this->gates($unit);
        self::assertContains('undercoated', array_keys($gates));
        self::assertSame([], $gates['prepared'], 'nobody stands at it before it is prepared');
        $this->mark($pieces, array_keys(array_filter($steps, fn (Step $s) => $s->phase === Phase::Prepare)));
        self::assertSame($pieces, array_column($this->gates($unit)['prepared'], 'id'));

        $say = fn (string $who, array $with, int $status) => $this->api(
            $who,
            'POST',
            "units/$unit->id/gates",
            $with + ['gate' => 'prepared'],
            $status,
        );
        $say('lead', ['pieces' => [$pieces[0]], 'passed' => false], 422)->assertJsonPath('errors.0.pointer', '/note');
        $say('lead', ['pieces' => [$pieces[0]], 'passed' => false, 'note' => 'A mould line on the arm.'], 200);
        $say('lead', ['pieces' => [$pieces[0]], 'passed' => false, 'note' => 'A mould line on the arm.'], 200);
        self::assertSame(1, GateAnswer::query()->count(), 'pressed twice, said once');
        $say('lead', ['pieces' => array_slice($pieces, 1), 'passed' => true], 200);
        $say('lead', ['pieces' => [999_999], 'passed' => true], 404);
        $say('lead', ['gate' => 'undercoated', 'pieces' => $pieces, 'passed' => true], 409);
        $say('desk', ['pieces' => $pieces, 'passed' => true], 403);

        $next = [array_key_first(array_filter($steps, fn (Step $s) => $s->phase === Phase::Undercoat))];
        $body = ['pieces' => [$pieces[0]], 'steps' => $next];
        $said = $this->api('painter', 'POST', 'bench/marks', $body, 409)->json('detail');
        self::assertStringContainsString('A mould line on the arm.', (string) $said);
        $this->mark(array_slice($pieces, 1), $next);
        $say('lead', ['pieces' => [$pieces[0]], 'passed' => true], 200);
        $this->mark([$pieces[0]], $next);
        // It has gone on: nothing is said of it there any more.
        $say('lead', ['pieces' => [$pieces[0]], 'passed' => false, 'note' => 'Too late.'], 409);
    }

    public function test_a_piece_that_is_past_a_gate_is_not_asked_and_one_before_varnish_is(): void
    {
        [$unit, $pieces] = $this->onBench();
        $steps = $this->steps($unit);
        $isBefore = true;
        $first = array_keys(array_filter($steps, function (Step $s) use (&$isBefore): bool {
            $isBefore = $isBefore && $s->phase !== Phase::MattVarnish;

            return $isBefore;
        }));
        $this->mark([$pieces[0]], $first);
        $gates = $this->gates($unit);
        self::assertSame([], $gates['prepared']);
        self::assertSame([], $gates['undercoated']);
        self::assertSame([$pieces[0]], array_column($gates['before_varnish'], 'id'));
        self::assertArrayNotHasKey('joined', $gates, 'nothing is joined on it');
    }

    /** @return array{Unit, list<int>} */
    private function onBench(): array
    {
        $order = $this->api('desk', 'POST', 'orders', ['client' => 'Vesper Row', 'title' => 'Three on watch'], 201)->json('id');
        $made = $this->api('desk', 'POST', "orders/$order/units", ['sculpt' => 'sluice-warden', 'tier' => 'banner', 'count' => 3], 201);
        $unit = Unit::query()->where('order_id', $order)->firstOrFail();
        self::assertSame(201, $made->getStatusCode());
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision, 'despite' => 'Agreed.'], 200);
        $ids = $unit->pieces()->orderBy('number')->limit(3)->pluck('id')->map(fn ($id) => (int) $id)->all();

        return [$unit, array_values($ids)];
    }

    /** @return array<string, Step> by key, in their order */
    private function steps(Unit $unit): array
    {
        return app(Releases::class)->of($unit)->steps();
    }

    /**
     * @param  list<int>  $pieces
     * @param  list<string>  $steps
     */
    private function mark(array $pieces, array $steps): void
    {
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => $pieces, 'steps' => $steps], 200);
        $marked = Piece::query()->with(BenchWork::OF_PIECES)->findOrFail($pieces[0]);
        self::assertSame([], array_diff($steps, BenchWork::done($marked)));
    }

    /** @return array<string, list<array<string, mixed>>> the models that stand at each, by gate */
    private function gates(Unit $unit): array
    {
        return array_column($this->api('painter', 'GET', "units/$unit->id/gates", null, 200)->json('data'), 'models', 'gate');
    }
}
