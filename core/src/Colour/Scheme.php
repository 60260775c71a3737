<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

use Ordotype\Core\Sculpt\Area;

/** The colours of an army, by slot or by area key; an area's own entry beats its slot's. */
final readonly class Scheme
{
    /**
     * @param  array<string, AreaColours>  $slots
     * @param  array<string, AreaColours>  $areas
     */
    public function __construct(public string $name, public array $slots, public array $areas)
    {
    }

    /** The same army with some colours of another scheme in place of its own. */
    public function with(self $other): self
    {
        return new self($this->name, $other->slots + $this->slots, $other->areas + $this->areas);
    }

    public function for(Area $area): ?AreaColours
    {
        return $this->areas[$area->key] ?? ($area->slot === null ? null : $this->slots[$area->slot] ?? null);
    }
}
