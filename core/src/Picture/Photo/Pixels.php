<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** A picture that is read row by row. */
interface Pixels
{
    public function width(): int;

    public function height(): int;

    /**
     * A part of a row, from one column to another, both with it.
     *
     * @return array<int, int> 0xRRGGBB, by place from 0
     */
    public function run(int $y, int $from, int $to): array;
}
