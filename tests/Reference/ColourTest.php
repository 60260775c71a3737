<?php

declare(strict_types=1);

namespace Tests\Reference;

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
