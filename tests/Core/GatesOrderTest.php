<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Sequencing\Gates;
use Ordotype\Core\Planning\Sequencing\GateStanding;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Gate;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;

/** Where gates stand, who stands at them and what lies beyond, on random orders, by what model.md 9 says of them. */
final class GatesOrderTest extends TestCase
{
    /** After the last step of these; that of varnish stands before its first. */
    private const AFTER = [
        'prepared' => [Phase::Prepare],
        'undercoated' => [Phase::Undercoat, Phase::Value],
        'test_model' => [Phase::Prepare, Phase::Undercoat, Phase::Value],
        'joined' => [Phase::Join, Phase::JointTidy],
    ];

    public function test_random_orders(): void
    {
        $technique = Demo::standard()->techniques[0];
        $random = new Randomizer(new Mt19937(47));
        $seen = [];
        for ($case = 0; $case < 400; $case++) {
            $phases = [];
            for ($i = $random->getInt(1, 9); $i > 0; $i--) {
                $phases[] = $random->shuffleArray(Phase::cases())[0];
            }
            $step = fn (Phase $p) => new Step(null, $technique, 0, 1, Extent::Full, 1.0, 0.0, [], phase: $p);
            $gates = new Gates(array_map($step, $phases), Gate::cases());
            $all = array_map(fn (Gate $g) => $g->value, $gates->all());
            self::assertNotContains('test_model', $all, 'only one model stands at it');
            foreach (Gate::cases() as $gate) {
                $before = self::before($gate, $phases);
                if ($gate === Gate::TestModel) {
                    self::assertSame($before !== [], $gates->wantsTestModel());
                } else {
                    self::assertSame($before !== [], in_array($gate->value, $all, true), $gate->value);
                }
                if ($before === []) {
                    continue;
                }
                $seen[$gate->value] = true;
                foreach (array_keys($phases) as $i) {
                    self::assertSame(! in_array($i, $before, true), $gates->isBeyond($gate, $i), "$gate->value, step $i");
                }
                $needed = array_values(array_filter(array_keys($phases), fn () => $random->getInt(0, 4) > 0));
                $done = array_values(array_filter($needed, fn () => $random->getInt(0, 2) > 0));
                $standing = match (true) {
                    array_diff($done, $before) !== [] => GateStanding::Past,
                    array_diff(array_intersect($needed, $before), $done) === [] => GateStanding::At,
                    default => GateStanding::Before,
                };
                self::assertSame($standing, $gates->standing($gate, $needed, $done));
            }
        }
        self::assertEqualsCanonicalizing(['prepared', 'undercoated', 'test_model', 'before_varnish', 'joined'], array_keys($seen));
    }

    /**
     * @param  list<Phase>  $phases
     * @return list<int> the steps that are done before a gate; none: the work has no such gate
     */
    private static function before(Gate $gate, array $phases): array
    {
        if ($gate === Gate::BeforeVarnish) {
            $first = array_search(Phase::MattVarnish, $phases, true);

            return $first === false || $first === 0 ? [] : range(0, $first - 1);
        }
        $of = array_filter($phases, fn (Phase $p) => in_array($p, self::AFTER[$gate->value] ?? [], true));

        return $of === [] ? [] : range(0, max(array_keys($of)));
    }
}
