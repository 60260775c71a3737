<?php

declare(strict_types=1);

namespace Ordotype\Core\Method;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/** A studio's or an order's choices between the schools. A school that is left out changes nothing. */
final readonly class Method
{
    /**
     * @param  array<string, non-empty-list<Answer>>  $choices  by school word
     */
    public function __construct(public array $choices = [], public ?string $undercoatColour = null)
    {
    }

    /** The same method with one school left open. */
    public function without(School $school): self
    {
        return new self(array_diff_key($this->choices, [$school->value => true]), $this->undercoatColour);
    }

    /** The same method with one school answered for the whole model. */
    public function with(School $school, string $answer): self
    {
        return new self([$school->value => [new Answer($answer, null)]] + $this->choices, $this->undercoatColour);
    }

    /** The answer for the whole model: the first that has no scope. */
    public function answer(School $school): ?string
    {
        foreach ($this->choices[$school->value] ?? [] as $choice) {
            if ($choice->scope === null) {
                return $choice->value;
            }
        }

        return null;
    }

    /** The answer for an area: the first whose scope matches it. */
    public function answerFor(School $school, Area $area, Sculpt $sculpt): ?string
    {
        foreach ($this->choices[$school->value] ?? [] as $choice) {
            if ($choice->scope === null || $choice->scope->matches($area, $sculpt)) {
                return $choice->value;
            }
        }

        return null;
    }
}
