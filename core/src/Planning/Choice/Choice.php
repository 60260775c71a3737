<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/** The techniques chosen for one area, in catalogue order. */
final readonly class Choice
{
    public float $minutes;

    /** @param  list<ChosenTechnique>  $techniques */
    public function __construct(public array $techniques)
    {
        $minutes = 0.0;
        foreach ($techniques as $used) {
            $minutes += $used->minutes();
        }
        $this->minutes = $minutes;
    }

    public function uses(string $technique): bool
    {
        foreach ($this->techniques as $used) {
            if ($used->technique->key === $technique) {
                return true;
            }
        }

        return false;
    }
}
