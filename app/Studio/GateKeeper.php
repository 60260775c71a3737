<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\GateRefused;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\Unit;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Planning\Sequencing\Gates;
use Ordotype\Core\Planning\Sequencing\GateStanding;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Words\Terms;

/** Which gates the pieces of a release come to, what was said there, and who may not go on. */
final class GateKeeper
{
    public static function of(Release $release): Gates
    {
        return new Gates($release->plan->work->steps, $release->acceptance()->gates ?? []);
    }

    public static function standing(Gates $gates, Gate $gate, Piece $piece, Release $release): GateStanding
    {
        $places = array_flip(array_keys($release->steps()));
        $of = fn (array $keys): array => array_values(array_intersect_key($places, array_flip($keys)));

        return $gates->standing(
            $gate,
            $of(array_keys($release->stepsOf($piece->number))),
            $of(BenchWork::done($piece)),
        );
    }

    /** Whether a piece is done but for its varnish, and what comes after. */
    public static function isPainted(Piece $piece, Release $release): bool
    {
        $gates = new Gates($release->plan->work->steps, [Gate::BeforeVarnish]);
        $open = array_diff_key($release->stepsOf($piece->number), array_flip(BenchWork::done($piece)));

        return $gates->all() === []
            ? $open === []
            : self::standing($gates, Gate::BeforeVarnish, $piece, $release) !== GateStanding::Before;
    }

    /** Whether nothing beyond the gate of the test model was done on it, where its work has that gate. */
    private static function isBare(Piece $piece, Release $release): bool
    {
        $gates = new Gates($release->plan->work->steps, [Gate::TestModel]);

        return $gates->wantsTestModel() &&
            self::standing($gates, Gate::TestModel, $piece, $release) !== GateStanding::Past;
    }

    /** The last word on a unit's test model; null where it has none, or nobody looked at it yet. */
    public static function onTestModel(Unit $unit): ?GateAnswer
    {
        return $unit->test_piece_id === null
            ? null
            : self::said([$unit->test_piece_id])[$unit->test_piece_id][Gate::TestModel->value] ?? null;
    }

    /**
     * @param  list<int>  $pieces  ids
     * @return array<int, array<string, GateAnswer>> by piece and gate: the last word
     */
    public static function said(array $pieces): array
    {
        $said = [];
        foreach (
            GateAnswer::query()->with('user:id,name')->whereIn('piece_id', $pieces)->orderBy('id')->get() as $answer
        ) {
            $said[$answer->piece_id][$answer->gate] = $answer;
        }

        return $said;
    }

    /**
     * A piece does not go on past a gate that refused it, nor into colours that its unit's test model was rejected in.
     *
     * @param  array<string, GateAnswer>  $said  of it, by gate
     * @param  GateAnswer|null  $test  what was said of its unit's test model
     * @param  list<string>  $steps  keys that are to be marked
     */
    public static function mayPass(Piece $piece, Release $release, array $said, ?GateAnswer $test, array $steps): void
    {
        $refused = array_filter(
            $said,
            fn (GateAnswer $a) => ! $a->passed && $a->gate !== Gate::TestModel->value,
        );
        $named = $piece->unit->test_piece_id;
        $isRejected = $test !== null && ! $test->passed && $test->piece_id !== $piece->id;
        // Named and not judged yet: what has no colours stays without them until it is.
        $isAhead = $test === null && $named !== null && $named !== $piece->id && self::isBare($piece, $release);
        $waits = $isRejected || $isAhead;
        if ($refused === [] && ! $waits) {
            return;
        }
        $places = array_intersect_key(array_flip(array_keys($release->steps())), array_flip($steps));
        $holding = self::of($release)->holding(
            array_map(Gate::from(...), array_keys($refused)),
            $waits,
            array_values($places),
        );
        if ($holding === Gate::TestModel) {
            throw $isAhead
                ? GateRefused::testModelFirst($piece)
                : GateRefused::waitsForTestModel($piece, (string) $test?->note);
        }
        if ($holding !== null) {
            throw GateRefused::refusedThere($piece, Terms::gate($holding), (string) $refused[$holding->value]->note);
        }
    }
}
