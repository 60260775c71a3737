<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;

/**
 * In what two versions of a standard differ, clause by clause as the tiers resolve, with what is tighter or looser.
 */
final readonly class StandardDifference
{
    /** @var list<StandardChange> tiers, then clauses in the order of the ladder, then techniques, then prices */
    public array $changes;

    public function __construct(private Standard $from, private Standard $to)
    {
        $this->changes = [...$this->tiers(), ...$this->clauses(), ...$this->techniques(), ...$this->prices()];
    }

    /** @return list<StandardChange> of the heads of tiers: what they are called, how they are planned and looked at */
    private function tiers(): array
    {
        $head = fn (Tier $t): array => [
            $t->name,
            $t->status,
            $t->pace,
            $t->viewing,
            $t->aim,
            $t->defaultStatus(),
            $t->extends,
        ];

        return self::compare(
            self::by($this->from->tiers, fn (Tier $t) => $t->key),
            self::by($this->to->tiers, fn (Tier $t) => $t->key),
            fn (Tier $a, Tier $b): bool => $head($a) == $head($b),
        );
    }

    /** @return list<StandardChange> the same change in several tiers is one change */
    private function clauses(): array
    {
        [$before, $after] = [self::resolved($this->from), self::resolved($this->to)];
        $tiers = self::by(
            [...(new Grid($this->from))->tiers(), ...(new Grid($this->to))->tiers()],
            fn (Tier $t) => $t->key,
        );
        $found = [];
        foreach ($tiers as $key => $tier) {
            foreach (($after[$key] ?? []) + ($before[$key] ?? []) as $suffix => $any) {
                [$was, $is] = [$before[$key][$suffix] ?? null, $after[$key][$suffix] ?? null];
                $change = $was !== null && $is !== null && $was->isTheSame($is) ? null : self::change($was, $is);
                if ($change !== null) {
                    $place = implode("\n", [$change->kind->value, $suffix, $was?->sayingKey(), $is?->sayingKey()]);
                    $tiersSoFar = isset($found[$place]) ? $found[$place]->tiers : [];
                    $found[$place] = new StandardChange($change->kind, $was, $is, [...$tiersSoFar, $tier]);
                }
            }
        }

        return array_values($found);
    }

    private static function change(?Clause $was, ?Clause $is): ?StandardChange
    {
        return match (true) {
            $was !== null && $is !== null => new StandardChange(self::direction($was, $is), $was, $is),
            $is !== null => new StandardChange(ChangeKind::Added, null, $is),
            $was !== null => new StandardChange(ChangeKind::Dropped, $was, null),
            default => null,
        };
    }

    /** @return list<StandardChange> */
    private function techniques(): array
    {
        return self::compare(
            self::by($this->from->techniques, fn (Technique $t) => $t->key),
            self::by($this->to->techniques, fn (Technique $t) => $t->key),
            fn (Technique $a, Technique $b): bool => $a == $b,
        );
    }

    /** @return list<StandardChange> */
    private function prices(): array
    {
        $place = fn (PriceRange $p): string => "$p->tier {$p->size->value} {$p->role->value}";

        return self::compare(
            self::by($this->from->prices, $place),
            self::by($this->to->prices, $place),
            fn (PriceRange $a, PriceRange $b): bool => $a == $b,
        );
    }

    /**
     * @template T of Tier|Technique|PriceRange
     *
     * @param  array<string, T>  $before
     * @param  array<string, T>  $after
     * @param  callable(T, T): bool  $same
     * @return list<StandardChange>
     */
    private static function compare(array $before, array $after, callable $same): array
    {
        $changes = [];
        foreach (array_keys($after + $before) as $key) {
            [$was, $is] = [$before[$key] ?? null, $after[$key] ?? null];
            if ($was !== null && $is !== null && $same($was, $is)) {
                continue;
            }
            $kind = $was === null ? ChangeKind::Added : ($is === null ? ChangeKind::Dropped : ChangeKind::Changed);
            $changes[] = new StandardChange($kind, $was, $is);
        }

        return $changes;
    }

    /**
     * @template T
     *
     * @param  list<T>  $list
     * @param  callable(T): string  $key
     * @return array<string, T>
     */
    private static function by(array $list, callable $key): array
    {
        return array_combine(array_map($key, $list), $list);
    }

    /** @return array<string, array<string, Clause>> tier key to suffix to clause */
    private static function resolved(Standard $standard): array
    {
        $clauses = [];
        foreach ($standard->tiers as $tier) {
            $clauses[$tier->key] = self::by($standard->clausesOf($tier), fn (Clause $c) => $c->suffix());
        }

        return $clauses;
    }

    private static function direction(Clause $was, Clause $is): ChangeKind
    {
        [$up, $down] = [$is->implies($was), $was->implies($is)];

        return match (true) {
            $up && ! $down => ChangeKind::Tightened,
            $down && ! $up => ChangeKind::Loosened,
            default => ChangeKind::Changed,
        };
    }
}
