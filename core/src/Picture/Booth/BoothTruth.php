<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** What is known of a drawing because it was drawn: never the measuring's own answer. */
final readonly class BoothTruth
{
    /**
     * @param  array<string, int>  $pixels  by area key: how many are seen
     * @param  array<string, float>  $bare  by area key: share that shows bare undercoat
     * @param  array<string, list<array{float, float, float}>>  $light  by area key: what some pixels send, noise-free,
     *     in linear light
     * @param  array<string, array<int, int>>  $lightness  by area key: pixels by half L*, noise-free, without a border
     */
    public function __construct(public array $pixels, public array $bare, public array $light, public array $lightness)
    {
    }
}
