<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Booth\Faults;

/** What faults look like: each planted on the example's cloak, as far as it can be drawn there. */
final class FaultExamples
{
    /** Those that lie on something a cloak does not have. */
    private const ELSEWHERE = ['decal_missing', 'eyes_uneven', 'rim_untidy', 'missing_technique'];

    public function __construct(private readonly FinishExamples $examples, private readonly Drawings $drawings)
    {
    }

    /** @return array<string, string> addresses by the key of the fault */
    public function addresses(): array
    {
        $addresses = [];
        foreach (array_diff(Faults::DRAWN, self::ELSEWHERE) as $fault) {
            $addresses[$fault] = $this->drawings->address($this->examples->withFault($fault));
        }

        return $addresses;
    }
}
