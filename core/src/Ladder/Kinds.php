<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use ArrayObject;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;

/** Which kinds of area a clause speaks of, and on which of them it can hold at all. */
final readonly class Kinds
{
    /** @var array<string, true> effects that some technique gives area by area */
    private array $onAreas;

    /** @var ArrayObject<string, list<Technique>> what was looked up of what serves an effect */
    private ArrayObject $served;

    public function __construct(private Standard $standard)
    {
        /** @var ArrayObject<string, list<Technique>> $served */
        $served = new ArrayObject();
        $this->served = $served;
        $onAreas = [];
        foreach ($standard->techniques as $technique) {
            $onAreas += $technique->whole ? [] : array_fill_keys(array_keys($technique->effects), true);
        }
        $this->onAreas = $onAreas;
    }

    public function inScope(Clause $clause, Area $area, Sculpt $sculpt): bool
    {
        $painting =
            $clause instanceof StepsClause ||
            $clause instanceof FinishClause ||
            ($clause instanceof EffectClause && $this->isOnAreas($clause));

        return $painting
            ? $clause->scope()->matchesPainting($area, $sculpt)
            : $clause->scope()->matches($area, $sculpt);
    }

    /** Whether an effect clause speaks of areas; else it is met once for the whole model. */
    public function isOnAreas(EffectClause $clause): bool
    {
        return array_filter($clause->effects, fn (Effect $e) => isset($this->onAreas[$e->value])) !== [];
    }

    /** Whether some technique of the catalogue could do there what the clause asks, allowed or not. */
    public function canHold(Clause $clause, Area $area): bool
    {
        if ($clause instanceof EffectClause) {
            return $this->serving($clause, $area) !== [];
        }
        if ($clause instanceof TechniqueClause) {
            foreach ($this->standard->techniques as $technique) {
                if ($clause->names($technique) && ($technique->whole || DemandResolver::fits($technique, $area))) {
                    return true;
                }
            }

            return false;
        }

        return true;
    }

    /**
     * @param  Extent|null  $least  how widely; null: at the clause's own extent
     * @return list<Technique> those that fit the area and give what the clause asks so widely
     */
    public function serving(EffectClause $clause, Area $area, ?Extent $least = null): array
    {
        $onAreas = $this->isOnAreas($clause);

        return array_values(
            array_filter(
                $this->servedBy($clause, $least),
                fn (Technique $t) => $t->retired !== true && ($onAreas ? DemandResolver::fits($t, $area) : $t->whole),
            ),
        );
    }

    /** @return list<Technique> those that give what the clause asks so widely, retired ones too */
    public function servedBy(EffectClause $clause, ?Extent $least = null): array
    {
        $least ??= $clause->extent();
        $asked = self::asked($clause)." $least->value";
        if (! isset($this->served[$asked])) {
            $requirement = Strength::requirement($clause);
            $serving = array_filter(
                $this->standard->techniques,
                fn (Technique $t) => $requirement->deliveredBy($t)->value >= $least->value,
            );
            $this->served[$asked] = array_values($serving);
        }

        return $this->served[$asked];
    }

    /** What of an effect clause decides who serves it, as one word. */
    public static function asked(EffectClause $clause): string
    {
        return implode('|', array_map(fn (Effect $e) => $e->value, $clause->effects)).' '.$clause->extent()->value.' '.
            ($clause->by === null ? '*' : implode(',', $clause->by));
    }
}
