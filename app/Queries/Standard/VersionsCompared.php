<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Repositories\Standards;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Ladder\StandardDifference;
use Ordotype\Core\Words\ChangeWords;

/** What changes from one version of the standard to another; a draft counts as a version. */
final class VersionsCompared
{
    public function __construct(private readonly Standards $standards, private readonly LadderShown $ladder)
    {
    }

    /** @return array{from: int, to: int, changes: list<array<string, mixed>>} */
    public function of(int $from, int $to): array
    {
        $one = $this->standards->core($this->standards->numbered($from));
        $other = $this->standards->core($this->standards->numbered($to));
        $words = new ChangeWords($one, $other);

        return [
            'from' => $from,
            'to' => $to,
            'changes' => array_map(
                fn (StandardChange $c) => $this->ladder->change($c, $words),
                (new StandardDifference($one, $other))->changes,
            ),
        ];
    }
}
