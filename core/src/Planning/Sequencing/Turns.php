<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\School;

/**
 * When each area has its turn: metals where they come first; faces where they come first; what is messy from its first
 * brushed paint on; then by layer; gems, eyes and small teeth; faces where they come last, with the eyes, small teeth
 * and hair on them; metals where they come last. Common practice, no source.
 */
final readonly class Turns
{
    private const METALS_FIRST = 1;

    private const FACES_FIRST = 2;

    private const MESSY_BASES = 3;

    private const LAYERS = 4;

    private const SMALL = 5;

    private const FACES_LAST = 6;

    private const METALS_LAST = 7;

    /** The focus of what people look at first. */
    private const FACE = 3;

    /** @var array<string, array{int, float}> by area key: the group, and the place within it */
    private array $turns;

    /** @var array<string, true> keys of areas that are messy from their first brushed paint on */
    private array $messyBases;

    /**
     * @param  list<Step>  $steps
     * @param  array<string, list<int>>  $byArea  each area's steps in their order there
     */
    public function __construct(
        private array $steps,
        private array $byArea,
        private Sculpt $sculpt,
        private Method $method,
        private StepPhases $phases,
    ) {
        $messy = [];
        foreach ($sculpt->areas as $area) {
            if ($this->isMessyFromTheStart($area)) {
                $messy[$area->key] = true;
            }
        }
        $this->messyBases = $messy;
        $turns = [];
        foreach ($sculpt->areas as $area) {
            $turns[$area->key] = $this->turnOf($area);
        }
        $this->turns = $turns;
    }

    /** Below zero where the first area has its turn before the other, above where after, zero where they share it. */
    public function compare(string $one, string $other): int
    {
        return $this->turns[$one] <=> $this->turns[$other];
    }

    /** Whether its base strays, or, where the base is left out, what is brushed on first. */
    private function isMessyFromTheStart(Area $area): bool
    {
        $first = null;
        foreach ($this->byArea[$area->key] ?? [] as $i) {
            $step = $this->steps[$i];
            if ($step->phase === Phase::Base) {
                return $step->isMessy() && ! $step->isSprayed();
            }
            $isPaint = $this->phases->isFigurePaint($step) && $step->phase !== Phase::Wear && ! $step->isSprayed();
            $first ??= $isPaint ? $step : null;
        }

        return $first?->isMessy() === true;
    }

    /** Whether an area has its turn because it is messy from the start. */
    public function isForItsMess(string $area): bool
    {
        return $this->turns[$area][0] === self::MESSY_BASES;
    }

    public function isByLayer(string $area): bool
    {
        return $this->turns[$area][0] === self::LAYERS;
    }

    /** @return array{int, float} */
    private function turnOf(Area $area): array
    {
        $metals = $this->method->answer(School::Metals);
        $ring = $area->surround === null ? null : $this->sculpt->area($area->surround);
        $face = $this->faceOf($area);
        $isMessy = isset($this->messyBases[$area->key]);

        return match (true) {
            $metals === 'first' && $area->isMetal() => [self::METALS_FIRST, 0.0],
            $metals === 'last' && $area->isMetal() => [self::METALS_LAST, $isMessy ? 0.0 : 1.0],
            $metals === 'last' && $ring?->isMetal() === true => [self::METALS_LAST, 2.0],
            $face === 'first' => [self::FACES_FIRST, 0.0],
            $isMessy => [self::MESSY_BASES, 0.0],
            $face === 'last' => [self::FACES_LAST, 0.0],
            $this->followsAFace($area) => [self::FACES_LAST, 1.0],
            $ring !== null, $area->material === Material::Eye => [self::SMALL, 0.0],
            $area->material === Material::TeethClaw => $this->turnOfTeeth($area),
            default => [self::LAYERS, (float) $area->layer],
        };
    }

    /**
     * Small ones that touch skin have their turn with eyes and gems, others just after their skin.
     *
     * @return array{int, float}
     */
    private function turnOfTeeth(Area $teeth): array
    {
        $turn = null;
        foreach ($this->skinAround($teeth) as $skin) {
            $turn = max($turn ?? [0, 0.0], $this->turnOf($skin));
        }

        return match (true) {
            $turn === null => [self::LAYERS, (float) $teeth->layer],
            $teeth->rank === Rank::Detail => [self::SMALL, 0.0],
            default => [$turn[0], $turn[1] + 0.5],
        };
    }

    /** Eyes and small teeth on a face that is painted last, and hair that lies on it. */
    private function followsAFace(Area $area): bool
    {
        $isSmall = $area->material === Material::Eye ||
            ($area->material === Material::TeethClaw && $area->rank === Rank::Detail);

        return ($isSmall || $area->material === Material::HairFur) &&
            array_filter(
                $this->skinAround($area),
                fn (Area $skin) => $this->faceOf($skin) === 'last' && ($isSmall || $area->layer > $skin->layer),
            ) !== [];
    }

    /** @return list<Area> */
    private function skinAround(Area $area): array
    {
        return array_values(
            array_filter(
                $this->sculpt->areas,
                fn (Area $a) => $a->material === Material::Skin && $this->sculpt->touch($a->key, $area->key),
            ),
        );
    }

    /** When a face is painted: first, last or, like everything else, by its layer; null: it is no face. */
    private function faceOf(Area $area): ?string
    {
        return $area->material === Material::Skin && $area->focus === self::FACE
            ? $this->method->answerFor(School::Faces, $area, $this->sculpt) ?? 'last'
            : null;
    }
}
