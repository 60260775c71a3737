<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use ArrayObject;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;

/** Which kinds of area a clause speaks of, and on which of them it can hold at all. */
final readonly class Kinds
{
    public ClauseViews $views;

    /** @var ArrayObject<string, list<Technique>> what was looked up of what serves an effect */
    private ArrayObject $served;

    public function __construct(private Standard $standard)
    {
        /** @var ArrayObject<string, list<Technique>> $served */
        $served = new ArrayObject();
        $this->served = $served;
        $this->views = new ClauseViews($standard);
    }

    public function inScope(Clause $clause, Area $area, Sculpt $sculpt): bool
    {
        return $this->views->of($clause)->isOfPaint
            ? $clause->scope()->matchesPainting($area, $sculpt)
            : $clause->scope()->matches($area, $sculpt);
    }

    /** Whether some technique of the catalogue could do there what the clause asks, allowed or not. */
    public function canHold(Clause $clause, Area $area): bool
    {
        $view = $this->views->of($clause);
        if ($view->effect !== null) {
            return $this->serving($view->effect, $area) !== [];
        }
        $naming = $view->technique;
        if ($naming === null) {
            return true;
        }
        foreach ($this->standard->techniques as $technique) {
            if ($naming->names($technique) && ($technique->whole || FittingTechniques::fits($technique, $area))) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  Extent|null  $least  how widely; null: at the clause's own extent
     * @return list<Technique> those that fit the area and give what the clause asks so widely
     */
    public function serving(EffectClause $clause, Area $area, ?Extent $least = null): array
    {
        $onAreas = $this->views->isOnAreas($clause);

        return array_values(
            array_filter(
                $this->servedBy($clause, $least),
                fn (Technique $t) => $t->retired !== true &&
                    ($onAreas ? FittingTechniques::fits($t, $area) : $t->whole),
            ),
        );
    }

    /** @return list<Technique> those that give what the clause asks so widely, retired ones too */
    public function servedBy(EffectClause $clause, ?Extent $least = null): array
    {
        $least ??= $clause->extent();
        $asked = self::asked($clause)." $least->value";
        if (! isset($this->served[$asked])) {
            $result = $clause->asked();
            $serving = array_filter(
                $this->standard->techniques,
                fn (Technique $t) => $result->deliveredBy($t)->value >= $least->value,
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
