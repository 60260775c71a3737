<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Planning\Sequencing\Follows;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Slip;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Sculpt;

/** One line each on why a pass stands where it stands, and what is put right after it. */
final readonly class OrderWords
{
    /** @return list<array{why: string|null, put_right: string|null}> for each pass */
    public static function passes(OrderedWork $work, PrecedenceGraph $edges, Sculpt $sculpt): array
    {
        $follows = Follows::steps($work, $edges, $sculpt);
        $passOf = [];
        foreach ($work->passes as $no => $pass) {
            $passOf += array_fill_keys($pass->steps, $no + 1);
        }

        return array_map(
            fn (Pass $p) => [
                'why' => self::why($p, $work, $follows, $passOf),
                'put_right' => self::putRight($p->slips),
            ],
            $work->passes,
        );
    }

    /**
     * @param  list<list<array{int, Rule}>>  $follows
     * @param  array<int, int>  $passOf  by step: the number of its pass
     */
    private static function why(Pass $pass, OrderedWork $work, array $follows, array $passOf): ?string
    {
        $nearest = Follows::pass($pass, $follows);
        if ($nearest === null) {
            return null;
        }
        $step = $work->steps[$nearest[0]];
        $on = $step->area === null ? '' : ' on '.mb_strtolower($step->area->name);

        $rule = $nearest[1];
        $why = self::rule($rule, $step, $work->steps[$pass->steps[0]]);

        return "After pass {$passOf[$nearest[0]]}, ".mb_strtolower($step->technique->name)."$on: $why.";
    }

    /** A rule, said for two steps that it holds in their order. */
    public static function rule(Rule $rule, Step $earlier, Step $later): string
    {
        return match (true) {
            $rule !== Rule::Phase => Terms::rule($rule),
            $earlier->phase === Phase::Prepare => 'preparation comes first',
            $later->phase->value >= Phase::MattVarnish->value => 'the painting is finished first',
            $earlier->area === null || $earlier->area->key === $later->area?->key => 'it lies under this',
            default => Terms::rule($rule),
        };
    }

    /** @param  list<Slip>  $slips */
    private static function putRight(array $slips): ?string
    {
        $areas = array_map(
            fn (Slip $s) => mb_strtolower($s->area->name).($s->colour === null ? '' : " in {$s->colour->words()}"),
            $slips,
        );

        return $areas === [] ? null : 'Put right what strays onto '.Terms::any($areas, ' and ').'.';
    }
}
