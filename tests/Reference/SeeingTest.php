<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Foundation\NoticingSize;
use PHPUnit\Framework\TestCase;

final class SeeingTest extends TestCase
{
    /**
     * Source: the optotype convention of Snellen and ISO 8596, feature = 2·d·tan(θ/2); the table was computed twice,
     * in R and by a second program.
     */
    public function test_what_the_eye_resolves(): void
    {
        $rows = Csv::rows('visual-acuity.csv');
        self::assertCount(40, $rows);
        foreach ($rows as $row) {
            self::assertEqualsWithDelta(
                (float) $row['feature_mm'],
                NoticingSize::mm((float) $row['distance_cm'], (float) $row['arcmin']),
                1e-6,
                implode(' ', $row),
            );
        }
    }
}
