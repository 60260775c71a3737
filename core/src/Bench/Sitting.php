<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

/** What somebody's clock said in one go, over what they did in it. */
final readonly class Sitting
{
    /**
     * @param  float  $spent  minutes, without pauses
     * @param  array<string, float>  $planned  minutes by technique
     */
    public function __construct(public float $spent, public array $planned)
    {
    }
}
