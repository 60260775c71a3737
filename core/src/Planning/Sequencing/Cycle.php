<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Area;

/** Rules that run in a circle, so that no order keeps them all. */
final readonly class Cycle
{
    /**
     * @param  non-empty-list<HeldBack>  $edges  each step on it comes before the next, by the rule that is named
     * @param  Rule  $broken  the one the order gives up
     */
    public function __construct(public array $edges, public Rule $broken)
    {
    }

    /** @return list<Area> the areas on it, each once */
    public function areas(): array
    {
        $areas = [];
        foreach ($this->edges as $edge) {
            if ($edge->earlier->area !== null) {
                $areas[$edge->earlier->area->key] = $edge->earlier->area;
            }
        }

        return array_values($areas);
    }

    /** @return list<Rule> the rules on it, each once */
    public function rules(): array
    {
        $rules = [];
        foreach ($this->edges as $edge) {
            $rules[$edge->rule->value] = $edge->rule;
        }

        return array_values($rules);
    }
}
