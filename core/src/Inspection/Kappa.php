<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use InvalidArgumentException;

/**
 * Agreement of two people who sort the same things, less what chance alone would give: κ = (po − pe) / (1 − pe)
 * (J. Cohen, Educational and Psychological Measurement 20(1), 1960).
 */
final class Kappa
{
    /**
     * @param  list<list<int>>  $table  how often one said the row and the other the column; square
     * @return float|null null: nothing was sorted, or both said one and the same of all, where it is not defined
     *
     * @throws InvalidArgumentException when the table is not square
     */
    public static function of(array $table): ?float
    {
        $size = count($table);
        $n = $same = $byChance = 0;
        foreach ($table as $i => $row) {
            if (count($row) !== $size) {
                throw new InvalidArgumentException('A table of agreement has as many columns as rows.');
            }
            $n += array_sum($row);
            $same += $row[$i];
            $byChance += array_sum($row) * array_sum(array_column($table, $i));
        }

        // In whole numbers as far as it goes: κ = (n·same − Σ row·column) / (n² − Σ row·column).
        return $n * $n === $byChance ? null : ($n * $same - $byChance) / ($n * $n - $byChance);
    }

    /**
     * Of calls that are yes or no.
     *
     * @param  list<array{bool, bool}>  $calls  of the one and of the other
     */
    public static function ofCalls(array $calls): ?float
    {
        $table = [[0, 0], [0, 0]];
        foreach ($calls as [$one, $other]) {
            $table[$one ? 0 : 1][$other ? 0 : 1]++;
        }

        return self::of($table);
    }
}
