<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\ReasonKind;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Sculpt\Area;

/** One thing that is asked on several areas of a look, while {@see CheckList} gathers it. */
final class Asked
{
    /** @var array<string, Area> by key */
    public array $areas = [];

    /** @var array<string, true> ids of the clauses that ask it */
    public array $clauses = [];

    public function __construct(public readonly Requirement $requirement)
    {
    }

    public function add(Requirement $same, ?Area $area): void
    {
        $this->areas += $area === null ? [] : [$area->key => $area];
        $this->clauses += array_fill_keys(self::clausesOf($same), true);
    }

    /** The first clause that asks it and what exactly it asks: one checkpoint for each. */
    public static function name(Requirement $r): string
    {
        return implode(' ', [self::clausesOf($r)[0] ?? '', ...self::what($r)]);
    }

    /** @return list<string> what exactly is asked */
    public static function what(Requirement $r): array
    {
        return [
            $r->kind()->value,
            $r->subject(),
            ...match (true) {
                $r instanceof EffectRequirement => [(string) $r->extent->value, (string) $r->passes],
                $r instanceof TechniqueRequirement => [(string) $r->extent->value, (string) $r->passes],
                $r instanceof StepsRequirement => ["$r->min-$r->max"],
                $r instanceof FinishRequirement => [(string) $r->limit],
                default => [],
            },
        ];
    }

    /** What is to be there must be answered; how it is finished need not. */
    public function isToBeThere(): bool
    {
        return $this->requirement instanceof EffectRequirement || $this->requirement instanceof TechniqueRequirement;
    }

    /** @return list<string> ids of the clauses that ask it; of what else does where no clause does */
    private static function clausesOf(Requirement $requirement): array
    {
        $own = array_values(array_filter($requirement->reasons, fn (Reason $r) => $r->kind === ReasonKind::Clause));

        return Reason::ids($own === [] ? array_slice($requirement->reasons, 0, 1) : $own);
    }
}
