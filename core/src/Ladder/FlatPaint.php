<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\FinishClause;

/**
 * How much contrast light alone makes, by material, on a model that nobody has shaded: what a limit must lie above to
 * ask for anything. Measured on drawings of the booth; lint draws nothing.
 */
final readonly class FlatPaint
{
    /**
     * @param  array<string, float>  $undercoat  by material: L* from the 5th to the 95th percentile in bare undercoat,
     *     the median of the areas that were drawn
     * @param  array<string, float>  $flat  the same in one flat coat of a middle grey
     */
    public function __construct(public array $undercoat = [], public array $flat = [])
    {
    }

    /**
     * The most a contrast clause may ask and yet ask for nothing on anything it speaks of.
     *
     * @return float|null L*; null where the clause asks for something else, or nothing is known of its materials
     */
    public function shownUnder(FinishClause $clause): ?float
    {
        if ($clause->criterion !== Criterion::TonalSpan) {
            return null;
        }
        $shown = [];
        foreach ($clause->scope()->material ?? Material::cases() as $material) {
            if (isset($this->undercoat[$material->value])) {
                $shown[] = max($this->undercoat[$material->value], $this->flat[$material->value] ?? 0.0);
            }
        }

        return $shown === [] ? null : min($shown);
    }
}
