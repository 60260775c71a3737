<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use Ordotype\Core\Standard\Severity;

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
     * The same requirement with what another one of its kind and subject asks.
     *
     * @throws \LogicException when the other is of another kind
     */
    abstract public function and(self $other): static;

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
            if ($one instanceof EffectRequirement) {
                self::absorb($joined, $place, $one);

                continue;
            }
            $slot = $one->kind()->value.' '.$one->subject();
            $joined[$slot] = isset($joined[$slot]) ? $joined[$slot]->and($one) : $one;
        }

        return array_values($joined);
    }

    /** @param  array<int|string, self>  $joined */
    private static function absorb(array &$joined, int $place, EffectRequirement $one): void
    {
        foreach ($joined as $slot => $kept) {
            if ($kept instanceof EffectRequirement && $kept->implies($one)) {
                $joined[$slot] = $kept->carrying([...$kept->reasons, ...$one->reasons], $one->severity);

                return;
            }
        }
        $first = null;
        foreach ($joined as $slot => $kept) {
            if ($kept instanceof EffectRequirement && $one->implies($kept)) {
                $one = $one->carrying([...$kept->reasons, ...$one->reasons], $kept->severity);
                if ($first === null) {
                    $first = $slot;
                } else {
                    unset($joined[$slot]);
                }
            }
        }
        $joined[$first ?? $place] = $one;
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
