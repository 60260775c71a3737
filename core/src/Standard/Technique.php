<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Relief;

/**
 * One entry of the catalogue.
 *
 * `handling`, `hand`, `perPiece`, `setup`, `dry` and `coatDry` are minutes: per pass, per coat on 10 cm², per counted
 * thing, once per run and colour, before anything goes over it, and between the coats of one pass.
 */
final readonly class Technique
{
    /** From this mess on a technique strays onto neighbouring areas. */
    public const MESSY = 2;

    private bool $isLitBase;

    /** Equal for techniques between which the choice of techniques sees no difference but their minutes. */
    public string $character;

    /**
     * @param  array<string, Extent>  $effects  effect word to the most extent the technique can give it
     * @param  array<string, int>  $suits  relief word to 1 possible, 2 fine, 3 made for it; empty for whole techniques
     * @param  list<Material>  $onlyOn
     * @param  list<Material>  $neverOn
     * @param  list<string>  $excludes  keys of techniques that do not go together with this one on an area
     * @param  list<Effect>  $needs
     * @param  bool|null  $taper  whether each further pass covers one extent less than the one before
     */
    public function __construct(
        public string $key,
        public string $name,
        public Family $family,
        public array $effects,
        public int $credit,
        public bool $whole,
        public array $suits,
        public ?int $grade,
        public int $coats,
        public int $maxPasses,
        public float $handling,
        public float $hand,
        public float $perPiece,
        public float $setup,
        public float $dry,
        public float $coatDry,
        public int $skill,
        public int $mess,
        public bool $big,
        public bool $tidied,
        public array $onlyOn,
        public array $neverOn,
        public array $excludes,
        public array $needs,
        public TechniqueNotes $notes,
        public ?bool $retired = null,
        public ?float $markMm = null,
        public ?bool $taper = null,
    ) {
        $this->isLitBase = isset($effects[Effect::BaseColour->value], $effects[Effect::Glow->value]);
        $effects = array_map(
            fn (string $effect, Extent $most) => "$effect $most->value",
            array_keys($this->effects),
            array_values($this->effects),
        );
        $this->character = implode(',', [
            $this->credit,
            $this->whole ? 'whole' : '',
            $this->maxPasses,
            $this->tidied ? 'tidied' : '',
            $this->taper === true ? 'taper' : '',
            ...$effects,
            '-',
            ...$this->excludes,
        ]);
    }

    public function gives(Effect $effect): Extent
    {
        return $this->effects[$effect->value] ?? Extent::None;
    }

    public function has(Effect $effect): bool
    {
        return isset($this->effects[$effect->value]);
    }

    public function givesAny(Effect ...$effects): bool
    {
        foreach ($effects as $effect) {
            if (isset($this->effects[$effect->value])) {
                return true;
            }
        }

        return false;
    }

    /** How widely a pass is done, from 1 on, when the first is done at the given extent. */
    public function extentOf(int $pass, Extent $first): Extent
    {
        return $this->taper === true ? $first->narrower($pass - 1) : $first;
    }

    /** Whether either of the two names the other among what it does not go together with on an area. */
    public function excludesOrIsExcludedBy(self $other): bool
    {
        return $this->key !== $other->key &&
            (in_array($other->key, $this->excludes, true) || in_array($this->key, $other->excludes, true));
    }

    /** What gives a base colour that looks lit is for what glows, whatever its list of materials says. */
    public function permitsMaterial(Material $material): bool
    {
        return ! in_array($material, $this->neverOn, true) &&
            ($this->onlyOn === [] || in_array($material, $this->onlyOn, true)) &&
            ! ($this->isLitBase && $material !== Material::Glow);
    }

    /**
     * How well the technique suits the best of these relief words: 3, 2 or 1, and 0 when it cannot be used.
     *
     * @param  list<Relief>  $relief
     */
    public function suit(array $relief): int
    {
        $best = 0;
        foreach ($relief as $word) {
            $best = max($best, $this->suits[$word->value] ?? 0);
        }

        return $best;
    }
}
