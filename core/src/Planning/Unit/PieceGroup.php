<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Amendment;

/** Pieces of a unit that are alike, while {@see UnitPlan} gathers them. */
final class PieceGroup
{
    /** @var list<int> */
    public array $pieces = [];

    /**
     * @param  int  $place  of the first of them in the unit
     * @param  list<string>  $lacks
     * @param  list<Amendment>  $onSome  dealt to these pieces
     */
    public function __construct(
        public readonly int $place,
        private readonly PieceNeeds $needs,
        private readonly array $lacks,
        private readonly array $onSome,
        private readonly ?Variant $variant,
    ) {
    }

    /** Equal for pieces that are alike. Changes by hand of a piece are its own: it is alike only to itself. */
    public function mark(): string
    {
        return serialize([
            $this->variant?->name,
            $this->lacks,
            $this->amendments(),
            $this->needs->edits === [] ? null : $this->needs->number,
        ]);
    }

    /** Whether they get what the unit as such gets, but for areas that they lack and changes by hand. */
    public function differsByLacking(): bool
    {
        return $this->variant === null && $this->amendments() === [];
    }

    public function isPlain(): bool
    {
        return $this->differsByLacking() && $this->lacks === [] && $this->needs->edits === [];
    }

    /** What these pieces are planned from. */
    public function request(PlanRequest $unit): PlanRequest
    {
        $sculpt = $this->lacks === [] ? $unit->sculpt : $unit->sculpt->without($this->lacks);
        $scheme =
            $this->variant?->colours === null
                ? $unit->scheme
                : $unit->scheme?->with($this->variant->colours) ?? $this->variant->colours;
        $common = array_values(array_filter($unit->amendments, fn (Amendment $a) => $a->on === null));

        return $unit
            ->of($sculpt, $scheme)
            ->amended([
                ...$common,
                ...array_map(fn (Amendment $a) => $a->here(), $this->onSome),
                ...$this->variant->amendments ?? [],
                ...$this->needs->amendments,
            ]);
    }

    /**
     * @param  array<string, Choice>  $ofUnit
     * @return array<string, Choice> techniques chosen by hand on areas that these pieces have
     */
    public function edits(array $ofUnit, Sculpt $sculpt): array
    {
        return array_filter(
            $this->needs->edits + $ofUnit,
            fn (string $area) => $sculpt->has($area),
            ARRAY_FILTER_USE_KEY,
        );
    }

    public function kind(Plan $plan): PieceKind
    {
        $pieces = $this->pieces;
        sort($pieces);

        return new PieceKind(
            $pieces === [] ? [$this->needs->number] : $pieces,
            $plan,
            $this->variant,
            $this->lacks,
            $this->amendments(),
            $this->needs->edits !== [],
        );
    }

    /** @return list<int> numbers of the amendments that hold here beyond the unit's */
    private function amendments(): array
    {
        return array_map(fn (Amendment $a) => $a->number, [...$this->onSome, ...$this->needs->amendments]);
    }
}
