<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;

/** What a tier asks of one area, or of the whole model where `area` is null, with the reasons why. */
abstract readonly class Requirement
{
    /**
     * @param  string|null  $area  key
     * @param  list<Reason>  $reasons  the clauses that ask it, and the amendments that changed them
     */
    public function __construct(public ?string $area, public array $reasons, public ?Severity $severity)
    {
    }

    abstract public function kind(): RequirementKind;

    /** What is asked for, in the words of the formats. */
    abstract public function subject(): string;

    /**
     * @template T
     *
     * @param  RequirementVisitor<T>  $visitor
     * @return T what the visitor makes of this kind
     */
    abstract public function accept(RequirementVisitor $visitor): mixed;

    /**
     * The same requirement with what another one of its kind and subject asks.
     *
     * @throws \LogicException when the other is of another kind
     */
    abstract public function and(self $other): static;

    /** Which way it goes from what was asked under the same kind and subject; null when that asks just as much. */
    abstract public function trendFrom(self $was): ?Trend;

    /** The least that meets it of what techniques add up to, passes or colour steps; null: they do not add up to it. */
    abstract public function least(): ?int;

    /** The most of it that is not too much; null: open, or no matter of techniques. */
    abstract public function most(): ?int;

    /**
     * What techniques add up to of it; null as for {@see least}.
     *
     * @param  list<UsedTechnique>  $used
     */
    abstract public function has(array $used): ?int;

    /**
     * What is left of it when some work is done; null when nothing is.
     *
     * @param  list<UsedTechnique>  $done
     */
    abstract public function left(array $done): ?static;

    /**
     * Whether a technique is there for it; for colour steps: whether they would be too few without a pass of it.
     *
     * @param  list<UsedTechnique>  $all  what is used on the area
     */
    abstract public function isHelpedBy(UsedTechnique $used, array $all): bool;

    /** Whether it is the result of this technique that is asked for. */
    abstract public function isGivenBy(Technique $technique): bool;

    /** What the choice of techniques looks at, as one word; empty where it looks at nothing. */
    abstract public function choiceKey(): string;

    /** The same in its simplest form, for one more reason; null where it is left out then. */
    abstract public function simpler(Reason $because): ?static;

    /**
     * Picks out one kind; what is of another kind is judged by nobody who asks for this.
     *
     * @template R of self
     *
     * @param  class-string<R>  $kind
     * @param  list<self>  $requirements
     * @return list<R>
     */
    public static function only(string $kind, array $requirements): array
    {
        return array_values(array_filter($requirements, fn (self $r) => $r instanceof $kind));
    }

    /**
     * Joins what single clauses ask of one area: steps to the highest floor and the lowest ceiling, effects by
     * absorption, required techniques to the larger passes and extent, finish to the stricter limit.
     *
     * @param  list<self>  $asked  in clause order
     * @return list<self>
     */
    public static function join(array $asked): array
    {
        /** @var array<int|string, self> $joined */
        $joined = [];
        foreach ($asked as $place => $one) {
            $joined = $one->joinedTo($joined, $place);
        }

        return array_values($joined);
    }

    /**
     * What is joined so far and this one: with what is of its kind and subject, where there is such.
     *
     * @param  array<int|string, self>  $joined
     * @return array<int|string, self>
     */
    protected function joinedTo(array $joined, int $place): array
    {
        $slot = $this->kind()->value.' '.$this->subject();
        $joined[$slot] = isset($joined[$slot]) ? $joined[$slot]->and($this) : $this;

        return $joined;
    }

    /** By whether each asks at least as much as the other. */
    protected static function trend(bool $up, bool $down): ?Trend
    {
        return match (true) {
            $up && $down => null,
            $up => Trend::Strengthened,
            $down => Trend::Weakened,
            default => Trend::Changed,
        };
    }

    /** From one range to another: a floor that rises is stronger; a ceiling that moves alone allows more or less. */
    protected static function trendOfRange(?float $from, ?float $to, ?float $newFrom, ?float $newTo): ?Trend
    {
        if ($from !== $newFrom) {
            return ($newFrom ?? 0) > ($from ?? 0) ? Trend::Strengthened : Trend::Weakened;
        }
        [$most, $now] = [$to ?? INF, $newTo ?? INF];
        $isLimit = $from === null;

        return match (true) {
            $now === $most => null,
            $now < $most => $isLimit ? Trend::Strengthened : Trend::AllowsLess,
            default => $isLimit ? Trend::Weakened : Trend::AllowsMore,
        };
    }

    /** @return list<Reason> of both, each once */
    protected function reasonsWith(self $other): array
    {
        return Reason::unique([...$this->reasons, ...$other->reasons]);
    }

    protected static function graver(?Severity $one, ?Severity $other): ?Severity
    {
        foreach (Severity::cases() as $severity) {
            if ($one === $severity || $other === $severity) {
                return $severity;
            }
        }

        return null;
    }
}
