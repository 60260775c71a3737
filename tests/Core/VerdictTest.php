<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Inspection\Aspect;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\CheckpointKey;
use Ordotype\Core\Inspection\Signing;
use Ordotype\Core\Inspection\SigningRule;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Consent;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\Severity;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whether a piece passes and who may sign it, on random small cases, read from model.md 9. */
final class VerdictTest extends TestCase
{
    private const VIEWS = [View::Front, View::Back, View::Top, View::Under];

    public function test_a_piece_passes_as_it_is_defined(): void
    {
        $random = new Randomizer(new Mt19937(9));
        $told = ['passes' => 0, 'unseen' => 0, 'unphotographed' => 0, 'grave' => 0, 'minors' => 0, 'open' => 0];
        for ($case = 0; $case < 3000; $case++) {
            $views = $this->some($random, self::VIEWS);
            $minors = $random->getInt(0, 2);
            $photographs = PhotographsWanted::cases()[$random->getInt(0, count(PhotographsWanted::cases()) - 1)];
            $clause = $this->clause($views, $minors, $photographs);
            $questions = [];
            for ($i = $random->getInt(1, 7); $i > 0; $i--) {
                $questions[] = $this->question("q$i", self::VIEWS[$random->getInt(0, 3)], $random->getInt(0, 2) === 0);
            }
            $answered = array_values(array_filter($questions, fn () => $random->getInt(0, 3) > 0));
            $faults = [];
            for ($i = $random->getInt(0, 2); $i > 0; $i--) {
                $faults[] = [Severity::Minor, Severity::Minor, Severity::Minor, Severity::Major, Severity::Critical][$random->getInt(0, 4)];
            }
            $photographed = $this->some($random, self::VIEWS);
            $verdict = Verdict::of($questions, array_map(fn (Checkpoint $c) => $c->key, $answered), $faults, $clause, $photographed);

            $is = fn (Checkpoint $c): bool => in_array($c, $answered, true);
            $grave = array_filter($faults, fn (Severity $s) => $s !== Severity::Minor) !== [];
            $many = count(array_filter($faults, fn (Severity $s) => $s === Severity::Minor)) > $minors;
            $open = array_filter($questions, fn (Checkpoint $c) => $c->mandatory && ! $is($c)) !== [];
            $unseen = array_filter($views, function (View $v) use ($questions, $is): bool {
                $of = array_filter($questions, fn (Checkpoint $c) => $c->view === $v);

                return $of !== [] && array_filter($of, $is) === [];
            }) !== [];
            $dark = $photographs === PhotographsWanted::Required &&
                array_filter($views, fn (View $v) => ! in_array($v, $photographed, true)) !== [];
            self::assertSame(! $grave && ! $many && ! $open && ! $unseen && ! $dark, $verdict->passes, "case $case");
            self::assertSame($open || $unseen, $verdict->open !== [], "case $case");
            self::assertCount(count($verdict->open), array_unique(array_map(fn (CheckpointKey $k) => $k->id, $verdict->open)));
            $told['passes'] += (int) $verdict->passes;
            $told['unseen'] += (int) ($unseen && ! $grave && ! $many && ! $open && ! $dark);
            $told['unphotographed'] += (int) ($dark && ! $grave && ! $many && ! $open && ! $unseen);
            $told['grave'] += (int) ($grave && ! $many && ! $open && ! $unseen && ! $dark);
            $told['minors'] += (int) ($many && ! $grave && ! $open && ! $unseen && ! $dark);
            $told['open'] += (int) ($open && ! $grave && ! $many && ! $unseen && ! $dark);
        }
        self::assertGreaterThan(20, min($told), 'each reason decides alone in some case: '.json_encode($told));
    }

    public function test_who_may_sign_is_as_it_is_defined(): void
    {
        $random = new Randomizer(new Mt19937(10));
        $seen = [];
        for ($case = 0; $case < 3000; $case++) {
            $people = range(1, $random->getInt(1, 4));
            $maySign = $this->some($random, $people);
            $painters = $this->some($random, $people);
            $answered = $this->some($random, $people);
            $signer = $people[$random->getInt(0, count($people) - 1)];
            $rule = Signing::by($signer, $maySign, $painters, $answered, count($people));
            $own = in_array($signer, $painters, true);
            $everybodyPainted = array_diff($maySign, $painters) === [];
            $another = array_diff($answered, [$signer]) !== [] && ! in_array($signer, $answered, true);
            $may = in_array($signer, $maySign, true) &&
                (! $own || ($everybodyPainted && (count($people) === 1 || $another)));
            self::assertSame($may, $rule->allows(), "case $case");
            $seen[$rule->name] = true;
        }
        self::assertCount(count(SigningRule::cases()), $seen, 'each rule in some case');
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T>
     */
    private function some(Randomizer $random, array $of): array
    {
        return array_values(array_filter($of, fn () => $random->getInt(0, 1) === 1));
    }

    private function question(string $key, View $view, bool $mandatory): Checkpoint
    {
        return new Checkpoint(CheckpointKey::kept($key), $view, [], [], [], $mandatory, null, 1, null, Aspect::All);
    }

    /** @param  list<View>  $views */
    private function clause(array $views, int $minors, PhotographsWanted $photographs): AcceptanceClause
    {
        $limits = ['critical' => 0, 'major' => 0, 'minor' => $minors];

        return new AcceptanceClause(
            'x.accept',
            [Role::Regular],
            false,
            null,
            null,
            $limits,
            $views,
            [],
            Consent::Minor,
            photographs: $photographs,
        );
    }
}
