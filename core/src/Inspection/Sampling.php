<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use InvalidArgumentException;
use Ordotype\Core\Foundation\Dice;

/**
 * Single sampling by attributes, MIL-STD-105E (1989, public domain): code letters by lot size (Table I), plans for
 * normal and tightened inspection (Tables II-A and II-B), which run along diagonals of letter and AQL.
 */
final class Sampling
{
    /** The largest lot of each row of Table I, and its letters at level I, II and III; the last row has no end. */
    private const LOTS = [
        [8, 'A', 'A', 'B'],
        [15, 'A', 'B', 'C'],
        [25, 'B', 'C', 'D'],
        [50, 'C', 'D', 'E'],
        [90, 'C', 'E', 'F'],
        [150, 'D', 'F', 'G'],
        [280, 'E', 'G', 'H'],
        [500, 'F', 'H', 'J'],
        [1200, 'G', 'J', 'K'],
        [3200, 'H', 'K', 'L'],
        [10000, 'J', 'L', 'M'],
        [35000, 'K', 'M', 'N'],
        [150000, 'L', 'N', 'P'],
        [500000, 'M', 'P', 'Q'],
        [PHP_INT_MAX, 'N', 'Q', 'R'],
    ];

    private const LEVELS = ['I' => 1, 'II' => 2, 'III' => 3];

    /** Sample sizes by letter. */
    private const SIZES = [
        'A' => 2, 'B' => 3, 'C' => 5, 'D' => 8, 'E' => 13, 'F' => 20, 'G' => 32, 'H' => 50, 'J' => 80, 'K' => 125,
        'L' => 200, 'M' => 315, 'N' => 500, 'P' => 800, 'Q' => 1250, 'R' => 2000,
    ];

    public const AQLS = [
        0.010, 0.015, 0.025, 0.040, 0.065, 0.10, 0.15, 0.25, 0.40, 0.65, 1.0, 1.5, 2.5, 4.0, 6.5, 10.0, 15.0, 25.0,
        40.0, 65.0, 100.0, 150.0, 250.0, 400.0, 650.0, 1000.0,
    ];

    /** Acceptance numbers along the diagonals from `FIRST` on; null is an arrow. */
    private const NORMAL = [0, null, null, 1, 2, 3, 5, 7, 10, 14, 21, 30, 44];

    private const TIGHTENED = [0, null, null, 1, 2, 3, 5, 8, 12, 18, 27, 41];

    /** Place of a letter and of an AQL, together, on the diagonal of acceptance number 0. */
    private const FIRST_NORMAL = 14;

    private const FIRST_TIGHTENED = 15;

    /** The two steepest diagonals hold for letters A to E alone. */
    private const LAST_SMALL = 4;

    /**
     * The plan for a lot; null where the tables have none, or the sample would be the lot: then every piece is checked.
     *
     * @param  int  $lot  pieces that are offered together
     * @param  string  $level  general inspection level I, II or III
     * @param  float  $aql  percent
     *
     * @throws InvalidArgumentException naming what the tables do not have
     */
    public static function plan(int $lot, string $level, float $aql, bool $isTightened = false): ?SamplingPlan
    {
        $column = array_search($aql, self::AQLS, true);
        if ($column === false) {
            throw new InvalidArgumentException("$aql is no AQL of the tables: ".implode(', ', self::AQLS).'.');
        }
        $place = array_search(self::letter($lot, $level), array_keys(self::SIZES), true);
        $sizes = array_values(self::SIZES);
        for ($row = (int) $place, $way = 0; isset($sizes[$row]); $row += $way) {
            [$accepts, $points] = self::cell($row, $column, $isTightened);
            if ($accepts !== null) {
                return $sizes[$row] >= $lot ? null : new SamplingPlan($sizes[$row], $accepts);
            }
            // An arrow leads one way until it comes to a plan.
            if ($way !== 0 && $points !== $way) {
                return null;
            }
            $way = $points;
        }

        return null;
    }

    /** @throws InvalidArgumentException */
    public static function letter(int $lot, string $level): string
    {
        $column = self::LEVELS[$level] ??
            throw new InvalidArgumentException("\"$level\" is no general inspection level: I, II or III.");
        if ($lot < 1) {
            throw new InvalidArgumentException('A lot has at least one piece.');
        }
        foreach (self::LOTS as $row) {
            if ($lot <= $row[0]) {
                return (string) $row[$column];
            }
        }

        return 'R';
    }

    /** @return array{int|null, int} the acceptance number; null and which way the arrow points: 1 down, -1 up */
    private static function cell(int $row, int $column, bool $isTightened): array
    {
        $diagonal = $row + $column - ($isTightened ? self::FIRST_TIGHTENED : self::FIRST_NORMAL);
        $numbers = $isTightened ? self::TIGHTENED : self::NORMAL;
        $last = count($numbers) - 1 - ($row > self::LAST_SMALL ? 2 : 0);
        if ($diagonal < 0) {
            return [null, 1];
        }
        if ($diagonal > $last) {
            return [null, -1];
        }
        $points = $diagonal === 1 && ! $isTightened ? -1 : 1;

        return match (true) {
            $numbers[$diagonal] !== null => [$numbers[$diagonal], 0],
            // Where there is no row to go to, the arrow turns.
            $points === -1 && $row === 0 => [null, 1],
            $points === 1 && $row === count(self::SIZES) - 1 => [null, -1],
            default => [null, $points],
        };
    }

    /**
     * Which pieces are looked at, in the order in which they are drawn: the same seed draws the same.
     *
     * @param  list<int>  $pieces  their numbers
     * @return list<int>
     */
    public static function draw(array $pieces, int $n, int $seed): array
    {
        $dice = new Dice($seed);
        for ($i = count($pieces) - 1; $i > 0; $i--) {
            $j = $dice->roll() % ($i + 1);
            [$pieces[$i], $pieces[$j]] = [$pieces[$j], $pieces[$i]];
        }

        return array_slice($pieces, 0, $n);
    }

    /**
     * The chance that a lot is accepted: that a sample without replacement has at most so many bad pieces
     * (hypergeometric distribution).
     *
     * @param  int  $bad  pieces of the lot
     */
    public static function chance(int $lot, int $n, int $accepts, int $bad): float
    {
        $sum = 0.0;
        for ($k = max(0, $n - ($lot - $bad)); $k <= min($accepts, $n, $bad); $k++) {
            $sum += exp(self::choose($bad, $k) + self::choose($lot - $bad, $n - $k) - self::choose($lot, $n));
        }

        return min(1.0, $sum);
    }

    /** The logarithm of the binomial coefficient. */
    private static function choose(int $n, int $k): float
    {
        $sum = 0.0;
        for ($i = 1; $i <= min($k, $n - $k); $i++) {
            $sum += log(($n - min($k, $n - $k) + $i) / $i);
        }

        return $sum;
    }
}
