<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/** Subsets of a size, in lexicographic order. */
final class Subsets
{
    /**
     * @return iterable<non-empty-list<int>> subsets of 0..n−1 in lexicographic order
     */
    public static function of(int $n, int $size): iterable
    {
        $chosen = range(0, $size - 1);
        while (true) {
            yield array_values($chosen);
            $k = $size - 1;
            while ($k >= 0 && $chosen[$k] === $n - $size + $k) {
                $k--;
            }
            if ($k < 0) {
                return;
            }
            $chosen[$k]++;
            for ($j = $k + 1; $j < $size; $j++) {
                $chosen[$j] = $chosen[$j - 1] + 1;
            }
        }
    }
}
