<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\GateRefused;
use App\Models\GateAnswer;
use App\Models\Piece;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Inspection\Gates;
use Ordotype\Core\Inspection\GateStanding;
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
     * A piece does not go on past a gate that refused it.
     *
     * @param  array<string, GateAnswer>  $said  of it, by gate
     * @param  list<string>  $steps  keys that are to be marked
     */
    public static function mayPass(Piece $piece, Release $release, array $said, array $steps): void
    {
        $refused = array_filter($said, fn (GateAnswer $a) => ! $a->passed);
        if ($refused === []) {
            return;
        }
        $gates = self::of($release);
        $places = array_flip(array_keys($release->steps()));
        foreach ($refused as $answer) {
            foreach ($steps as $step) {
                if (isset($places[$step]) && $gates->isBeyond(Gate::from($answer->gate), $places[$step])) {
                    throw new GateRefused($piece, Terms::gate(Gate::from($answer->gate)), (string) $answer->note);
                }
            }
        }
    }
}
