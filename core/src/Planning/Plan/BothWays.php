<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

/** What was found for the areas of a piece before it was settled which colours are sprayed. */
final readonly class BothWays
{
    /**
     * @param  list<PlannedArea>  $byBrush  in the sculpt's order
     * @param  array<string, SprayOption>  $options  by area key, for those that might be sprayed
     */
    public function __construct(public array $byBrush, public array $options)
    {
    }

    /**
     * The same for a piece that lacks some of the areas and differs in nothing else: what meets an area hangs on the
     * rest of the model only through the whole techniques and a ring. Null where one of these differs, or where there
     * is a conflict.
     *
     * @param  PlanContext  $before  of the piece that has them all
     * @param  PlanContext  $now  of the piece that lacks some, with its whole techniques
     */
    public function on(PlanContext $before, PlanContext $now): ?self
    {
        if ($now->given !== $before->given) {
            return null;
        }
        $byBrush = $options = [];
        foreach ($now->request->sculpt->areas as $area) {
            $planned = $this->byBrush[$before->request->sculpt->place($area->key)];
            if ($planned->choice === null || $planned->demand->area?->surround !== $area->surround) {
                return null;
            }
            $byBrush[] = $planned->on($area);
            $option = $this->options[$area->key] ?? null;
            if ($option !== null) {
                $options[$area->key] = new SprayOption($option->brushed->on($area), $option->sprayed->on($area));
            }
        }

        return new self($byBrush, $options);
    }
}
