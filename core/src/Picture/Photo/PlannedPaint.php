<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Picture\Booth\Patch;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Standard\Effect;

/** What a plan puts where, as far as a photograph is read by it. */
final readonly class PlannedPaint
{
    /**
     * @param  array<string, list<Srgb>>  $colours  by area key: the paints on it
     * @param  list<string>  $marked  keys of areas that carry marks, letters or patterns
     * @param  Srgb|null  $undercoat  null: bare undercoat is not looked for
     */
    public function __construct(public array $colours = [], public array $marked = [], public ?Srgb $undercoat = null)
    {
    }

    public static function of(Plan $plan): self
    {
        $colours = $marked = [];
        $undercoat = null;
        foreach ($plan->work->steps as $step) {
            $colour = $step->colour?->colour;
            if ($step->technique->has(Effect::Undercoat)) {
                $undercoat ??= $colour;
            }
            if ($step->area === null) {
                continue;
            }
            if ($colour !== null) {
                $colours[$step->area->key][$colour->hex()] = $colour;
            }
            // Their light and dark belong to a picture on the area, not to its form.
            if ($step->technique->givesAny(Effect::Mark, Effect::Letter, Effect::LetterFull, Effect::Freehand)) {
                $marked[$step->area->key] = true;
            }
        }

        return new self(
            array_map(array_values(...), $colours),
            array_map(strval(...), array_keys($marked)),
            $undercoat ?? Srgb::fromHex(Patch::UNDERCOAT),
        );
    }

    /** Over another undercoat; null where the light is not known, and so the undercoat cannot be told. */
    public function over(?Srgb $undercoat): self
    {
        return new self($this->colours, $this->marked, $undercoat);
    }
}
