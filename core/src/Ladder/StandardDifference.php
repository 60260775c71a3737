<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\TechniqueFormat;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
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

    /** @return list<StandardChange> */
    private function tiers(): array
    {
        return self::compare(
            $this->from->tiers,
            $this->to->tiers,
            fn (Tier $t) => $t->key,
            fn (Tier $t) => $t->name,
            'tier',
            function (Tier $t): string {
                return "$t->name, {$t->status->value}, pace {$t->pace->value}, looked at ".
                    "from {$t->viewing->distanceCm} cm, aim {$t->aim->value}, what no clause names is ".
                    Words::status($t->defaultStatus()).
                    ($t->extends === null ? '' : ", takes the clauses of $t->extends");
            },
        );
    }

    /** @return list<StandardChange> the same change in several tiers is one change */
    private function clauses(): array
    {
        [$before, $after] = [self::resolved($this->from), self::resolved($this->to)];
        $names = [];
        foreach ([...(new Grid($this->from))->tiers(), ...(new Grid($this->to))->tiers()] as $tier) {
            $names[$tier->key] = $tier->name;
        }
        /**
         * @var array<string, array{
         *     kind: string, tiers: list<string>, label: string, before: string|null, after: string|null
         * }> $found
         */
        $found = [];
        foreach ($names as $key => $name) {
            foreach (($after[$key] ?? []) + ($before[$key] ?? []) as $suffix => $any) {
                [$was, $is] = [$before[$key][$suffix] ?? null, $after[$key][$suffix] ?? null];
                if ($was !== null && $is !== null && self::canonical($was) === self::canonical($is)) {
                    continue;
                }
                $words = [
                    $was === null ? null : Words::clause($was, $this->from),
                    $is === null ? null : Words::clause($is, $this->to),
                ];
                $kind = match (true) {
                    $was === null => 'added',
                    $is === null => 'dropped',
                    default => self::direction($was, $is),
                };
                $place = "$kind\n$suffix\n$words[0]\n$words[1]";
                $found[$place] ??= [
                    'kind' => $kind,
                    'tiers' => [],
                    'label' => $any->label ?? str_replace(['.', '_'], ' ', (string) $suffix),
                    'before' => $words[0],
                    'after' => $words[1],
                ];
                $found[$place]['tiers'][] = $name;
            }
        }

        return array_values(
            array_map(
                fn (array $f) => new StandardChange(
                    $f['kind'],
                    'clause',
                    $f['tiers'],
                    $f['label'],
                    $f['before'],
                    $f['after'],
                ),
                $found,
            ),
        );
    }

    /** @return list<StandardChange> */
    private function techniques(): array
    {
        [$before, $after] = [self::written($this->from), self::written($this->to)];
        $changes = [];
        foreach ($after + $before as $key => $any) {
            [$was, $is] = [$before[$key] ?? null, $after[$key] ?? null];
            if ($was === null || $is === null) {
                $changes[] = new StandardChange(
                    $was === null ? 'added' : 'dropped',
                    'technique',
                    [],
                    $any['name'],
                    null,
                    null,
                );

                continue;
            }
            $differs = array_keys(
                array_filter(
                    $is + $was,
                    fn (string $field) => ($was[$field] ?? null) !== ($is[$field] ?? null),
                    ARRAY_FILTER_USE_KEY,
                ),
            );
            if ($differs !== []) {
                $changes[] = new StandardChange(
                    'changed',
                    'technique',
                    [],
                    $is['name'],
                    self::fields($was, $differs),
                    self::fields($is, $differs),
                );
            }
        }

        return $changes;
    }

    /**
     * @param  array<string, string>  $fields
     * @param  list<string>  $named
     */
    private static function fields(array $fields, array $named): string
    {
        return implode(
            ', ',
            array_map(fn (string $f) => str_replace('_', ' ', $f).' '.($fields[$f] ?? 'unsaid'), $named),
        );
    }

    /** @return array<string, array<string, string>> technique key to its fields as text */
    private static function written(Standard $standard): array
    {
        $written = [];
        foreach ($standard->techniques as $technique) {
            $written[$technique->key] = [];
            foreach (get_object_vars(TechniqueFormat::write($technique)) as $field => $value) {
                $written[$technique->key][(string) $field] = is_string($value) ? $value : Json::canonical($value);
            }
        }

        return $written;
    }

    /** @return list<StandardChange> */
    private function prices(): array
    {
        return self::compare(
            $this->from->prices,
            $this->to->prices,
            fn (PriceRange $p) => "{$p->tier} {$p->size->value} {$p->role->value}",
            fn (PriceRange $p) => "{$p->size->value} {$p->role->value} at $p->tier",
            'price',
            fn (PriceRange $p) => $p->low.($p->high === null ? ' and up' : " to $p->high"),
        );
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @param  list<T>  $to
     * @param  callable(T): string  $key
     * @param  callable(T): string  $name
     * @param  callable(T): string  $words
     * @return list<StandardChange>
     */
    private static function compare(
        array $from,
        array $to,
        callable $key,
        callable $name,
        string $what,
        callable $words,
    ): array {
        $before = array_combine(array_map($key, $from), $from);
        $after = array_combine(array_map($key, $to), $to);
        $changes = [];
        foreach ($after + $before as $k => $any) {
            [$was, $is] = [
                isset($before[$k]) ? $words($before[$k]) : null,
                isset($after[$k]) ? $words($after[$k]) : null,
            ];
            if ($was !== $is) {
                $changes[] = new StandardChange(
                    $was === null ? 'added' : ($is === null ? 'dropped' : 'changed'),
                    $what,
                    [],
                    $name($any),
                    $was,
                    $is,
                );
            }
        }

        return $changes;
    }

    /** @return array<string, array<string, Clause>> tier key to suffix to clause */
    private static function resolved(Standard $standard): array
    {
        $clauses = [];
        foreach ($standard->tiers as $tier) {
            $clauses[$tier->key] = [];
            foreach ($standard->clausesOf($tier) as $clause) {
                $clauses[$tier->key][$clause->suffix()] = $clause;
            }
        }

        return $clauses;
    }

    private static function direction(Clause $was, Clause $is): string
    {
        [$up, $down] = [Strength::implies($is, $was), Strength::implies($was, $is)];

        return match (true) {
            $up && ! $down => 'tightened',
            $down && ! $up => 'loosened',
            default => 'changed',
        };
    }

    private static function canonical(Clause $clause): string
    {
        $written = ClauseFormat::write($clause);
        unset($written->id);

        return Json::canonical($written);
    }
}
