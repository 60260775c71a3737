<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/**
 * One area of a sculpt's map: what is painted as one thing.
 *
 * `focus` is 0 to 3; `layer` rises outwards; `sharePct` is its part of the model's surface in percent; `count` is how
 * many counted things it holds (eyes, rivets, decals); `access` 1.0 to 2.0 stretches hand time where a brush hardly
 * reaches.
 */
final readonly class Area
{
    /**
     * @param  list<Relief>  $relief
     * @param  list<string>  $touches  keys of neighbouring areas
     * @param  string|null  $part  kept-apart group it belongs to
     * @param  string|null  $surround  key of the area that frames it, for a gem in metal
     * @param  string|null  $slot  the scheme's name for it
     * @param  bool|null  $optional  true where some pieces lack it
     * @param  array<string, list<list<array{float, float}>>>  $outline  view to rings of [x, y] in fractions of
     *     the frame
     */
    public function __construct(
        public string $key,
        public string $name,
        public Material $material,
        public array $relief,
        public Rank $rank,
        public int $focus,
        public Facing $facing,
        public int $layer,
        public float $sharePct,
        public int $count,
        public float $access,
        public ?string $part,
        public array $touches,
        public ?string $surround,
        public ?string $slot,
        public ?bool $optional,
        public array $outline,
    ) {
    }

    public function inPart(string $part): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->material,
            $this->relief,
            $this->rank,
            $this->focus,
            $this->facing,
            $this->layer,
            $this->sharePct,
            $this->count,
            $this->access,
            $part,
            $this->touches,
            $this->surround,
            $this->slot,
            $this->optional,
            $this->outline,
        );
    }

    /**
     * The area on a piece that lacks others, with its share of what is left.
     *
     * @param  list<string>  $keys
     */
    public function lacking(array $keys, float $sharePct): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->material,
            $this->relief,
            $this->rank,
            $this->focus,
            $this->facing,
            $this->layer,
            $sharePct,
            $this->count,
            $this->access,
            $this->part,
            array_values(array_diff($this->touches, $keys)),
            in_array($this->surround, $keys, true) ? null : $this->surround,
            $this->slot,
            $this->optional,
            $this->outline,
        );
    }

    /** Where it is looked at: both and front in the front view, ground and rim from above. */
    public function view(): View
    {
        return $this->rank === Rank::Ground
            ? View::Top
            : match ($this->facing) {
                Facing::Back => View::Back,
                Facing::Under => View::Under,
                Facing::Front, Facing::Both => View::Front,
            };
    }

    public function isMetal(): bool
    {
        return $this->material->isMetal();
    }
}
