<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;
use PHPUnit\Framework\TestCase;

final class ColourTest extends TestCase
{
    /**
     * Source: IEC 61966-2-1 (sRGB) and CIE 15 (CIELAB, D65, 2°); the table was computed with culori 4.0.2 and agrees
     * with colorjs.io 0.7.1.
     */
    public function test_srgb_to_lab(): void
    {
        $rows = Csv::rows('srgb-lab-d65.csv');
        self::assertCount(44, $rows);
        foreach ($rows as $row) {
            $lab = Srgb::fromHex($row['hex'])->lab();
            foreach (['L' => $lab->l, 'a' => $lab->a, 'b' => $lab->b] as $axis => $value) {
                self::assertEqualsWithDelta((float) $row[$axis], $value, 1e-6, "{$row['hex']} $axis");
            }
        }
    }

    /**
     * Source: G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 Color-Difference Formula", Color Research & Application
     * 30(1), 2005, Table 1; figures written down from memory and found equal in four other programs (see the README of
     * the reference data).
     */
    public function test_colour_differences_of_sharma_and_others(): void
    {
        $rows = Csv::rows('ciede2000-sharma-2005.csv');
        self::assertCount(34, $rows);
        foreach ($rows as $row) {
            $one = new Lab((float) $row['L1'], (float) $row['a1'], (float) $row['b1']);
            $other = new Lab((float) $row['L2'], (float) $row['a2'], (float) $row['b2']);
            foreach ([$one->deltaE00($other), $other->deltaE00($one)] as $found) {
                self::assertSame($row['dE00'], number_format($found, 4, '.', ''), "pair {$row['pair']}");
            }
            self::assertSame(0.0, $one->deltaE00($one));
        }
    }

    /** Source: CIE 15 with the exact constants 216/24389 and 24389/27, and IEC 61966-2-1. */
    public function test_greys(): void
    {
        $rows = Csv::rows('grey-relations.csv');
        self::assertCount(21, $rows);
        foreach ($rows as $row) {
            $grey = Srgb::fromHex($row['hex']);
            self::assertEqualsWithDelta((float) $row['L_of_grey8'], $grey->lab()->l, 1e-5, $row['hex']);
            $y = (float) $row['Y'];
            self::assertSame($row['hex'], Srgb::fromLinear($y, $y, $y)->hex());
        }
    }
}
