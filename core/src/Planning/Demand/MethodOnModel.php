<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** What the chosen schools change in the choice of techniques for one sculpt. No method changes nothing. */
final readonly class MethodOnModel
{
    private const PRIMES = ['airbrush' => 'prime_airbrush', 'can' => 'prime_can', 'brush_only' => 'prime_brush'];

    private const STAINS = ['stain_coat', 'stain_fade'];

    private const SHOW_THE_GROUND = ['stain_coat', 'stain_fade', 'spray_fade'];

    private const GROUND_PART = '(ground)';

    /** A colour this light (L*) shows a dark ground through one coat of middling hiding power. */
    private const LIGHT_COLOUR = 60.0;

    public function __construct(
        public Method $method,
        private Sculpt $sculpt,
        private ?Scheme $scheme,
        private Shelf $shelf,
    ) {
    }

    /** The technique the whole model is undercoated with, where the method says so. */
    public function prime(): ?string
    {
        return self::PRIMES[$this->method->answer(School::Spraying)] ?? null;
    }

    /** @return list<Effect> what the undercoat gives every area */
    public function given(): array
    {
        return match ($this->method->answer(School::Undercoat)) {
            'dark' => [Effect::DarkGround],
            'value_sketch' => [Effect::Value],
            default => [],
        };
    }

    public function sprays(): bool
    {
        return ! in_array($this->method->answer(School::Spraying), ['brush_only', 'can'], true);
    }

    /**
     * Whether the method keeps a technique off an area, and which school does.
     */
    public function keepsOff(Technique $technique, Area $area): ?School
    {
        if ($technique->family === Family::Spray && ! $this->sprays()) {
            return School::Spraying;
        }
        if (
            $technique->key === WellKnown::WASH &&
            $area->material === Material::Skin &&
            $this->method->answerFor(School::SkinWash, $area, $this->sculpt) === 'none'
        ) {
            return School::SkinWash;
        }
        $build = $this->method->answerFor(School::Build, $area, $this->sculpt);
        $isStain = in_array($technique->key, self::STAINS, true);
        if ($isStain && in_array($build, ['up_from_dark', 'from_mid'], true)) {
            return School::Build;
        }

        return null;
    }

    /** Whether bases are stains here wherever a stain is allowed and suits the area well. */
    public function buildsDownFromStains(Area $area): bool
    {
        return $this->method->answerFor(School::Build, $area, $this->sculpt) === 'stain_down';
    }

    public static function isStain(Technique $technique): bool
    {
        return in_array($technique->key, self::STAINS, true);
    }

    /** Whether backs may be simpler, and this is one. */
    public function mayBeSimpler(Area $area): bool
    {
        return $area->facing === Facing::Back &&
            $this->method->answerFor(School::Backs, $area, $this->sculpt) === 'simpler';
    }

    /**
     * Techniques the method adds on an area without asking the tier.
     *
     * @return array<string, School> by technique key
     */
    public function adds(Area $area): array
    {
        return $area->isMetal() && $this->method->answerFor(School::MetalGround, $area, $this->sculpt) === 'black'
            ? ['metal_underlay' => School::MetalGround]
            : [];
    }

    /** Techniques the method lets be used whatever the tier says, because others need them. */
    public function permits(Technique $technique): ?School
    {
        if ($technique->has(Effect::GlossGround) && $this->method->answer(School::Decals) !== 'wet_wash') {
            return School::Decals;
        }

        return $technique->has(Effect::LightGround) && $this->method->answer(School::Undercoat) === 'dark'
            ? School::Undercoat
            : null;
    }

    /** Whether a decal on this area goes into a wash that is still wet. */
    public function goesIntoWash(Technique $technique, Area $area): bool
    {
        return $technique->has(Effect::Mark) &&
            $this->method->answerFor(School::Decals, $area, $this->sculpt) === 'wet_wash';
    }

    public function keepsGroundApart(): bool
    {
        return $this->method->answer(School::Ground) === 'apart' &&
            array_filter($this->sculpt->areas, fn (Area $a) => $a->rank === Rank::Ground) !== [];
    }

    /** The model as it stands on the bench: with the ground as a kept-apart part, where the method keeps it apart. */
    public function benchSculpt(): Sculpt
    {
        return $this->keepsGroundApart() ? $this->sculpt->groundApart(self::GROUND_PART) : $this->sculpt;
    }

    /** @return list<Effect> what a technique needs on an area */
    public function needs(Technique $technique, Area $area): array
    {
        $needs = $technique->needs;
        $onDark = $this->method->answer(School::Undercoat) === 'dark';
        if ($onDark && self::showsTheGround($technique)) {
            $needs[] = Effect::LightGround;
        }
        // Never on bare matt: where nothing is said, on gloss.
        if ($technique->has(Effect::Mark) && ! $this->goesIntoWash($technique, $area)) {
            $needs[] = Effect::GlossGround;
        }

        return $needs;
    }

    /** A stain: what lies under it shines through, so it wants a light ground and is done again as a whole. */
    public static function showsTheGround(Technique $technique): bool
    {
        return in_array($technique->key, self::SHOW_THE_GROUND, true);
    }

    /** Coats in one pass of a technique on an area: the ground and the paint's hiding power change those of bases. */
    public function coats(Technique $technique, Area $area): int
    {
        $coats = $technique->coats;
        if (! $technique->has(Effect::BaseColour)) {
            return $coats;
        }
        $undercoat = $this->method->answer(School::Undercoat);
        if (
            $technique->onlyOn !== [] &&
            array_diff(array_map(fn (Material $m) => $m->value, $technique->onlyOn), ['steel', 'gold', 'copper']) ===
                []
        ) {
            $coats -= $undercoat === 'dark' ? 1 : 0;
            $coats -= $this->adds($area) === [] ? 0 : 1;
        } elseif ($undercoat !== null && self::isOpaque($technique) && $this->wantsOneMore($area, $undercoat)) {
            $coats++;
        }

        return max(1, $coats);
    }

    /**
     * Time factor of a technique at an extent: edges that only catch the light are fewer than all that can be seen.
     */
    public function timeFactor(Technique $technique, Area $area, Extent $extent): float
    {
        if ($extent !== Extent::Full || $technique->gives(Effect::HighlightEdge) !== Extent::Full) {
            return 1.0;
        }

        return match ($this->method->answerFor(School::Edges, $area, $this->sculpt)) {
            'light_facing' => 0.8,
            'focal' => 0.6,
            default => 1.0,
        };
    }

    private function wantsOneMore(Area $area, string $undercoat): bool
    {
        $base = $this->scheme?->for($area)?->base;
        $hiding = $base === null ? Hiding::Medium : $this->shelf->hidingOf($base);
        if ($hiding === Hiding::Low) {
            return true;
        }
        $colour = $base === null ? null : $this->shelf->colourOf($base);

        return $hiding === Hiding::Medium &&
            $undercoat === 'dark' &&
            $colour !== null &&
            $colour->lab()->l >= self::LIGHT_COLOUR;
    }

    private static function isOpaque(Technique $technique): bool
    {
        return ! $technique->tidied &&
            ! $technique->givesAny(Effect::Shade, Effect::PickOut) &&
            $technique->family->covers();
    }
}
