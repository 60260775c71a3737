<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Answer;
use Ordotype\Core\Standard\School;

/** A studio's or an order's choices between the schools. A school that is left out changes nothing. */
final readonly class Method
{
    /**
     * @param  array<string, non-empty-list<Answer>>  $choices  by school word
     * @param  list<string>  $groundSteps  keys of ground techniques in the order they are done; none: their own
     * @param  bool  $valueWash  whether one thin dark wash goes over the whole undercoated model
     * @param  Pot|null  $metalStart  the mix that metals are begun with: their underlay, else their base
     * @param  int|null  $skinMedium  parts of medium to one of stain on skin
     */
    public function __construct(
        public array $choices = [],
        public ?string $undercoatColour = null,
        public array $groundSteps = [],
        public bool $valueWash = false,
        public ?Pot $metalStart = null,
        public ?int $skinMedium = null,
    ) {
    }

    /** The same method with one school left open. */
    public function without(School $school): self
    {
        return $this->choosing(array_diff_key($this->choices, [$school->value => true]));
    }

    /** The same method with one school answered for the whole model. */
    public function with(School $school, string $answer): self
    {
        return $this->choosing([$school->value => [new Answer($answer, null)]] + $this->choices);
    }

    /** @param  array<string, non-empty-list<Answer>>  $choices */
    private function choosing(array $choices): self
    {
        return new self(
            $choices,
            $this->undercoatColour,
            $this->groundSteps,
            $this->valueWash,
            $this->metalStart,
            $this->skinMedium,
        );
    }

    /** The answer for the whole model: the first that has no scope. */
    public function answer(School $school): ?string
    {
        foreach ($this->choices[$school->value] ?? [] as $choice) {
            if ($choice->scope === null && $choice->technique === null) {
                return $choice->value;
            }
        }

        return null;
    }

    /** The answer for an area: the first whose scope matches it. */
    public function answerFor(School $school, Area $area, Sculpt $sculpt): ?string
    {
        foreach ($this->choices[$school->value] ?? [] as $choice) {
            if ($choice->technique === null && $choice->scope?->matches($area, $sculpt) !== false) {
                return $choice->value;
            }
        }

        return null;
    }

    /** The answer for one technique by itself. */
    public function answerOf(School $school, string $technique): ?string
    {
        foreach ($this->choices[$school->value] ?? [] as $choice) {
            if ($choice->technique === $technique) {
                return $choice->value;
            }
        }

        return null;
    }

    /** Whether an answer holds beside the first one: the wash on skin may be both under and over its base. */
    public function isAlso(School $school, string $answer): bool
    {
        foreach (array_slice($this->choices[$school->value] ?? [], 1) as $choice) {
            if ($choice->value === $answer && $choice->scope === null && $school === School::SkinWash) {
                return true;
            }
        }

        return false;
    }
}
