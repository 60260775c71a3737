<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Colour\AreaColours;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\School;

/**
 * Gives the steps of an area their colours from the scheme, splitting and spreading the lights over the light passes.
 */
final class StepColours
{
    /** Lights closer in L* than this are not told apart on the table (common practice, no source). */
    private const SEEN = 4.0;

    /** A metal of less chroma than this is silver rather than gold (house default). */
    private const GREY = 12.0;

    /** @var list<Warning> */
    private array $warnings = [];

    public function __construct(
        private readonly ?Scheme $scheme,
        private readonly Shelf $shelf,
        private readonly ?Method $method = null,
        private readonly ?Sculpt $sculpt = null,
    ) {
    }

    /** @return list<Warning> what was noticed so far */
    public function warnings(): array
    {
        return $this->warnings;
    }

    /**
     * @param  list<Step>  $steps  of one area, in their order on it
     * @return list<Step>
     */
    public function colour(Area $area, array $steps): array
    {
        $colours = $this->scheme?->for($area);
        if ($colours === null) {
            return $steps;
        }
        $lights = array_keys(array_filter($steps, fn (Step $s) => self::isLight($s)));
        $shades = array_keys(
            array_filter($steps, fn (Step $s) => $s->phase->takesShades()),
        );
        foreach ($steps as $i => $step) {
            $steps[$i] = $step->coloured($this->single(self::alone($step, $colours)));
        }
        $steps = $this->asTheMethodMixes($area, $colours, $steps);
        foreach ($shades as $k => $i) {
            $steps[$i] = $steps[$i]->coloured(
                $this->single($colours->shades[min($k, count($colours->shades) - 1)] ?? null),
            );
        }
        if ($lights !== [] && $colours->lights === []) {
            $this->warnings[] = new Warning(WarningKind::NoLights, $area, passes: count($lights));
        } elseif ($lights !== []) {
            $this->checkLights($area, $colours);
        }
        // Tones are counted technique by technique, so that edges and hatching share them.
        $passes = [];
        foreach ($lights as $i) {
            $passes[$steps[$i]->technique->key][] = $i;
        }
        foreach ($passes as $own) {
            foreach ($this->lights($area, $colours, count($own)) as $k => $colour) {
                $steps[$own[$k]] = $steps[$own[$k]]->coloured($colour);
            }
        }
        $last = $lights === [] ? null : $this->lastLightOfGold($area, $colours);
        if ($last !== null) {
            $steps[$lights[count($lights) - 1]] = $steps[$lights[count($lights) - 1]]->coloured($last);
        }

        return array_values($steps);
    }

    /**
     * Metals begin with the method's mix, on their underlay where they have one; stain on skin is thinned with medium.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function asTheMethodMixes(Area $area, AreaColours $colours, array $steps): array
    {
        $start = $area->isMetal() ? $this->method?->metalStart : null;
        $medium = $area->material === Material::Skin ? $this->method?->skinMedium : null;
        $underlays = array_filter($steps, fn (Step $s) => $s->phase === Phase::Underlay);
        foreach ($steps as $i => $step) {
            if ($start !== null && $step->phase === ($underlays === [] ? Phase::Base : Phase::Underlay)) {
                $steps[$i] = $step->coloured($this->single($start));
            }
            if ($medium !== null && MethodOnModel::isStain($step->technique)) {
                $steps[$i] = $step->coloured($this->single($colours->base->thinned($medium)));
            }
        }

        return array_values($steps);
    }

    /** The paint of a step that is neither shade nor light. */
    private static function alone(Step $step, AreaColours $colours): ?Pot
    {
        return match (true) {
            $step->phase->takesBaseColour() => $colours->base,
            $step->technique->has(Effect::Separate) => $colours->line ?? ($colours->shades[0] ?? null),
            $step->technique->has(Effect::Reflect) => $colours->lights === []
                ? null
                : $colours->lights[count($colours->lights) - 1],
            $step->phase === Phase::Tone => $colours->tint ?? ($colours->shades[0] ?? null),
            $step->phase === Phase::TintOver => $colours->tint ?? $colours->base,
            $step->technique->has(Effect::Tint) && $step->phase === Phase::BlendAndTint => $colours->tint,
            default => null,
        };
    }

    /**
     * Gold reads brighter when its last light is silver, or its own last light and silver one to one: as the method
     * says. Silver is the brightest light of the scheme's steel, or else the brightest grey metallic paint on the
     * shelf.
     */
    private function lastLightOfGold(Area $area, AreaColours $colours): ?StepColour
    {
        $school =
            $area->material !== Material::Gold || $this->sculpt === null
                ? null
                : $this->method?->answerFor(School::GoldLight, $area, $this->sculpt);
        if ($school === null) {
            return null;
        }
        $silver = $this->silver();
        if ($silver === null) {
            $this->warnings[] = new Warning(WarningKind::NoSilver, $area);

            return null;
        }

        return $school === 'silver'
            ? $this->single($silver)
            : $this->mix(
                $colours->lights === [] ? $colours->base : $colours->lights[count($colours->lights) - 1],
                $silver,
            );
    }

    private function silver(): ?Pot
    {
        $lights = [];
        foreach ($this->sculpt->areas ?? [] as $area) {
            if ($area->material === Material::Steel) {
                array_push($lights, ...$this->scheme?->for($area)->lights ?? []);
            }
        }
        if ($lights === []) {
            $grey = array_filter(
                $this->shelf->paints,
                fn (Paint $p) => $p->kind === 'metal' &&
                    hypot($p->colour->lab()->a, $p->colour->lab()->b) < self::GREY,
            );
            $lights = array_map(fn (Paint $p) => Pot::of($p->name), array_values($grey));
        }
        usort(
            $lights,
            fn (Pot $a, Pot $b) => ($this->shelf->colourOf($b)?->lab()->l ?? 0.0) <=>
                ($this->shelf->colourOf($a)?->lab()->l ?? 0.0),
        );

        return $lights[0] ?? null;
    }

    private static function isLight(Step $step): bool
    {
        return $step->phase->takesLights() ||
            ($step->phase === Phase::BlendAndTint && $step->technique->has(Effect::HighlightRaised));
    }

    private function single(?Pot $pot): ?StepColour
    {
        return $pot === null ? null : StepColour::of($pot, $this->shelf);
    }

    /**
     * m passes from k lights. With fewer passes than lights the ⌈i·k/m⌉-th, so that the last is used; with more, the
     * largest gap in L* (from the base on) is split by a 1:1 mix, each gap once, and then the last is repeated.
     *
     * @return list<StepColour>
     */
    private function lights(Area $area, AreaColours $colours, int $m): array
    {
        $k = count($colours->lights);
        if ($m === 0 || $k === 0) {
            return [];
        }
        if ($m <= $k) {
            return array_map(
                fn (int $i) => StepColour::of($colours->lights[(int) ceil(($i * $k) / $m) - 1], $this->shelf),
                range(1, $m),
            );
        }
        $ladder = [$colours->base, ...$colours->lights];
        $gaps = [];
        for ($i = 0; $i < $k; $i++) {
            [$from, $to] = [$this->shelf->colourOf($ladder[$i]), $this->shelf->colourOf($ladder[$i + 1])];
            $gaps[$i] = $from === null || $to === null ? 0.0 : $to->lab()->l - $from->lab()->l;
        }
        arsort($gaps);
        $split = array_slice(array_keys($gaps), 0, $m - $k);
        $result = [];
        for ($i = 0; $i < $k; $i++) {
            if (in_array($i, $split, true)) {
                $result[] = $this->mix($ladder[$i], $ladder[$i + 1]);
            }
            $result[] = StepColour::of($ladder[$i + 1], $this->shelf);
        }
        $last = $result[count($result) - 1];
        if (count($result) < $m) {
            $this->warnings[] = new Warning(
                WarningKind::LightRepeated,
                $area,
                passes: $m,
                colours: $k,
                repeated: $last,
            );
        }

        return array_pad($result, $m, $last);
    }

    private function mix(Pot $one, Pot $other): StepColour
    {
        [$first, $second] = [$one->plain(), $other->plain()];
        $mix = Pot::oneToOne($one, $other);

        return $first === null || $second === null || $first === $second
            ? StepColour::of($mix, $this->shelf)
            : new StepColour($first, $second, $this->shelf->colourOf($mix));
    }

    private function checkLights(Area $area, AreaColours $colours): void
    {
        $before = $colours->base;
        foreach ($colours->lights as $light) {
            [$from, $to] = [$this->shelf->colourOf($before), $this->shelf->colourOf($light)];
            if ($from instanceof Srgb && $to instanceof Srgb) {
                $rise = $to->lab()->l - $from->lab()->l;
                if ($rise <= 0) {
                    $this->warnings[] = new Warning(
                        WarningKind::LightNotLighter,
                        $area,
                        paint: $light->words(),
                        beside: $before->words(),
                    );
                } elseif ($rise < self::SEEN) {
                    $this->warnings[] = new Warning(
                        WarningKind::LightNotSeen,
                        $area,
                        paint: $light->words(),
                        beside: $before->words(),
                    );
                }
            }
            $before = $light;
        }
    }
}
