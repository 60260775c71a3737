<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\ReasonKind;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Sculpt\Area;

/** One thing that is asked on several areas of a look, while {@see CheckList} gathers it. */
final class Asked
{
    /** @var array<string, Area> by key */
    public array $areas = [];

    /** @var array<string, true> ids of the clauses that ask it */
    public array $clauses = [];

    public function __construct(public readonly Requirement $requirement, public readonly RequirementInCheck $inCheck)
    {
    }

    public function add(Requirement $same, ?Area $area): void
    {
        $this->areas += $area === null ? [] : [$area->key => $area];
        $this->clauses += array_fill_keys(self::clausesOf($same), true);
    }

    /** The first clause that asks it and what exactly it asks: one checkpoint for each. */
    public static function name(Requirement $r, RequirementInCheck $inCheck): string
    {
        return implode(' ', [self::clausesOf($r)[0] ?? '', $r->kind()->value, $r->subject(), ...$inCheck->amount]);
    }

    /** @return list<string> what exactly is asked */
    public function what(): array
    {
        return [$this->requirement->kind()->value, $this->requirement->subject(), ...$this->inCheck->amount];
    }

    /** @return list<string> ids of the clauses that ask it; of what else does where no clause does */
    private static function clausesOf(Requirement $requirement): array
    {
        $own = array_values(array_filter($requirement->reasons, fn (Reason $r) => $r->kind === ReasonKind::Clause));

        return Reason::ids($own === [] ? array_slice($requirement->reasons, 0, 1) : $own);
    }
}
