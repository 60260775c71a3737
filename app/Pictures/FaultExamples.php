<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Picture\Booth\Faults;

/** What faults look like: each planted on the example's cloak, or on the face or base that can have it. */
final class FaultExamples
{
    /** Where they are nothing is: there is nothing to show. */
    private const ABSENT = ['decal_missing', 'missing_technique'];

    public function __construct(private readonly FinishExamples $examples, private readonly Drawings $drawings)
    {
    }

    /** @return array<string, string> addresses by the key of the fault */
    public function addresses(): array
    {
        $addresses = [];
        foreach (array_diff(Faults::DRAWN, self::ABSENT) as $fault) {
            $addresses[$fault] = $this->drawings->address($this->examples->withFault($fault));
        }

        return $addresses;
    }
}
