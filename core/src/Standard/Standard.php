<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use OutOfBoundsException;

/** A studio's rule book: the catalogue of techniques and the ladder of tiers. */
final readonly class Standard
{
    /** @var array<string, Technique> */
    private array $techniqueByKey;

    /** @var array<string, Tier> */
    private array $tierByKey;

    /**
     * @param  list<Technique>  $techniques  in catalogue order
     * @param  list<Tier>  $tiers
     * @param  list<PriceRange>  $prices
     * @param  string  $currency  ISO 4217 code
     */
    public function __construct(
        public string $name,
        public array $techniques,
        public array $tiers,
        public array $prices,
        public string $currency,
    ) {
        $this->techniqueByKey = array_combine(array_map(fn (Technique $t) => $t->key, $techniques), $techniques);
        $this->tierByKey = array_combine(array_map(fn (Tier $t) => $t->key, $tiers), $tiers);
    }

    public function hasTier(string $key): bool
    {
        return isset($this->tierByKey[$key]);
    }

    /** @throws OutOfBoundsException when no tier has that key */
    public function tier(string $key): Tier
    {
        return $this->tierByKey[$key] ??
            throw new OutOfBoundsException(
                "The standard has no tier \"$key\"; it has ".implode(', ', array_keys($this->tierByKey)).'.',
            );
    }

    public function hasTechnique(string $key): bool
    {
        return isset($this->techniqueByKey[$key]);
    }

    /** @return array<string, true> by key of a technique, retired ones too */
    public function techniqueKeys(): array
    {
        return array_fill_keys(array_keys($this->techniqueByKey), true);
    }

    /** @throws OutOfBoundsException when no technique has that key */
    public function technique(string $key): Technique
    {
        return $this->techniqueByKey[$key] ??
            throw new OutOfBoundsException("The standard has no technique \"$key\".");
    }

    /**
     * The clauses of a tier with those of the tiers it extends: the same suffix replaces the whole clause in its
     * place, dropped suffixes go, the rest keep their ids, own clauses come last.
     *
     * @return list<Clause>
     *
     * @throws ExtendsLoop when the chain comes back to a tier it has passed
     */
    public function clausesOf(Tier $tier): array
    {
        return $this->inherited($tier, []);
    }

    /**
     * @param  list<string>  $passed
     * @return list<Clause>
     */
    private function inherited(Tier $tier, array $passed): array
    {
        if (in_array($tier->key, $passed, true)) {
            throw new ExtendsLoop([...$passed, $tier->key]);
        }
        if ($tier->extends === null) {
            return $tier->clauses;
        }

        $own = [];
        foreach ($tier->clauses as $clause) {
            $own[$clause->suffix()] = $clause;
        }
        $clauses = [];
        $replaced = [];
        foreach ($this->inherited($this->tier($tier->extends), [...$passed, $tier->key]) as $clause) {
            $suffix = $clause->suffix();
            if (in_array($suffix, $tier->drop ?? [], true)) {
                continue;
            }
            if (isset($own[$suffix])) {
                $replaced[$suffix] = true;
            }
            $clauses[] = $own[$suffix] ?? $clause;
        }
        foreach ($tier->clauses as $clause) {
            if (! isset($replaced[$clause->suffix()])) {
                $clauses[] = $clause;
            }
        }

        return $clauses;
    }
}
