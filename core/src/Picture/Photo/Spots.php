<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** Pixels that hang together, found while they are added row by row. */
final class Spots
{
    /** @var array<int, array<int, int>> by row and column: number of the spot */
    private array $at = [];

    /** @var array<int, int> a spot to the one it was joined to, or to itself */
    private array $joined = [];

    /** @var array<int, int> */
    private array $sizes = [];

    /** Rows from above to below, columns from left to right. */
    public function add(int $x, int $y): void
    {
        $near = [];
        foreach ([[$x - 1, $y], [$x - 1, $y - 1], [$x, $y - 1], [$x + 1, $y - 1]] as [$nx, $ny]) {
            if (isset($this->at[$ny][$nx])) {
                $near[] = $this->root($this->at[$ny][$nx]);
            }
        }
        if ($near === []) {
            $spot = count($this->joined);
            $this->joined[] = $spot;
            $this->sizes[] = 0;
        } else {
            $spot = min($near);
            foreach ($near as $other) {
                if ($other !== $spot && $this->joined[$other] === $other) {
                    $this->joined[$other] = $spot;
                    $this->sizes[$spot] += $this->sizes[$other];
                }
            }
        }
        $this->at[$y][$x] = $spot;
        $this->sizes[$spot]++;
        unset($this->at[$y - 2]);
    }

    public function largest(): int
    {
        return max([0, ...$this->sizes]);
    }

    private function root(int $spot): int
    {
        while ($this->joined[$spot] !== $spot) {
            $spot = $this->joined[$spot];
        }

        return $spot;
    }
}
