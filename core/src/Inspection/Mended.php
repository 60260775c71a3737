<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;

/** A fault that was sent back, and what its repair changed where. */
final readonly class Mended
{
    /**
     * @param  string  $fault  its kind
     * @param  string|null  $area  key; null: of the whole model
     * @param  array<string, list<Aspect>>  $changed  by area key; under '' what was done to the whole model
     */
    private function __construct(public string $fault, public ?string $area, private array $changed)
    {
    }

    /** @param  list<array{Technique, string|null}>  $steps  of the repair, each with the area it is done on */
    public static function by(string $fault, ?string $area, array $steps): self
    {
        $changed = [];
        foreach ($steps as [$technique, $on]) {
            foreach (array_keys($technique->effects) as $effect) {
                $aspect = Aspect::ofEffect(Effect::from($effect));
                $changed[$on ?? ''][] = $aspect ?? Aspect::Cover;
            }
            $changed[$on ?? ''][] = Aspect::Cover;
        }

        return new self($fault, $area, $changed);
    }

    /** @return list<string> the areas of a checkpoint on which it has to be looked at again */
    public function touches(Checkpoint $c): array
    {
        if ($c->aspect === Aspect::Varnish) {
            $isOver = isset($this->changed['']) || ($this->area === null && in_array($this->fault, $c->faults, true));

            return $isOver ? $c->areas : [];
        }
        $isAgain = fn (string $area): bool => $area === $this->area && in_array($this->fault, $c->faults, true);
        $isDone = fn (string $area): bool => isset($this->changed[$area]) &&
            ($c->aspect === Aspect::All ||
                $c->aspect === Aspect::Ground ||
                in_array($c->aspect, $this->changed[$area], true));

        return array_values(array_filter($c->areas, fn (string $a) => $isAgain($a) || $isDone($a)));
    }
}
