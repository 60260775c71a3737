<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\School;

/**
 * Holds a finished order against the rules of order, from the table of the rules and the keys of the catalogue alone.
 * It asks nothing of the code that lays the order: places, turns and what yields to what are read again here.
 */
final class OrderChecker
{
    /** The places of the table, each technique with the one it has by its effects. */
    private const PLACES = [
        'prepare' => ['mould_line_removal', 'assemble', 'gap_filling', 'handle_mount'],
        'undercoat' => ['prime_can', 'prime_airbrush', 'prime_brush'],
        'value sketch' => ['value_sketch'],
        'value wash' => ['value_wash'],
        'value light' => ['value_drybrush'],
        'underlay' => ['metal_underlay', 'light_underlay', 'touch_up'],
        'base' => [],
        'fade' => ['spray_fade'],
        'shade over a base' => ['stain_over'],
        'stain as shade' => ['stain_shade', 'metal_stain'],
        'wash' => ['wash_all_over'],
        'recess' => ['recess_shade'],
        'deepening glaze' => ['glaze'],
        'overbrush' => ['overbrush'],
        'drybrush' => ['drybrush'],
        'tidy' => ['tidy_base'],
        'shade and light at once' => ['two_brush_blend'],
        'raised' => ['layer', 'glaze_light', 'stipple'],
        'blend' => ['tint_filter'],
        'tone' => ['toning_wash', 'toning_glaze'],
        'edge' => ['edge_highlight', 'hatch_texture'],
        'point' => ['point_highlight'],
        'tint over' => ['tint_over'],
        'lines' => ['dark_lining', 'tinted_lining', 'reflection'],
        'detail' => ['glow'],
        'gloss under' => ['gloss_under'],
        'decal' => ['decal'],
        'softener' => ['decal_softener'],
        'mark' => ['mock_lettering', 'lettering', 'freehand', 'freehand_simple'],
        'decal wear' => ['decal_wear'],
        'wear' => [
            'sponge_chips',
            'drawn_damage',
            'rust_grime',
            'grime_streak',
            'verdigris',
            'pigment_dust',
            'ground_dusting',
        ],
        'ground texture' => ['ground_texture', 'ground_sand'],
        'ground colour' => ['ground_paint'],
        'ground shade' => ['ground_wash'],
        'ground light' => ['ground_drybrush'],
        'ground scene' => ['ground_scene'],
        'join parts' => ['join_parts'],
        'joint' => [],
        'matt' => ['matt_varnish'],
        'plants' => ['ground_tufts', 'ground_wet'],
        'gloss' => ['gloss_spot'],
        'join' => ['cut_off_handle', 'join_base'],
        'rim' => ['rim_paint'],
        'check' => ['final_look'],
    ];

    /** From the first step of the figure's own paint to the last. */
    private const PAINT = ['underlay', 'wear'];

    /** @var list<Step> */
    private array $steps;

    /** @var array<string, int> */
    private array $rank;

    /** @var array<int, float> */
    private array $place = [];

    /** @var array<string, list<int>> by area: its steps as the rules of one area want them */
    private array $own = [];

    /** @var list<string> */
    private array $broken = [];

    /** @var array<string, list<array{int, int}>> by two areas: what earlier rules want of them */
    private array $wanted = [];

    /** @var array<int, array<int, true>> what must come before what, by all rules together */
    private array $ruled = [];

    private function __construct(private readonly Plan $plan)
    {
        $this->steps = $plan->work->steps;
        $this->rank = array_flip(array_keys(self::PLACES));
        foreach ($this->steps as $i => $step) {
            $this->place[$i] = $this->placeOf($step);
        }
        foreach ($plan->request->sculpt->areas as $area) {
            $own = array_keys(array_filter($this->steps, fn (Step $s) => $s->area?->key === $area->key));
            usort($own, fn (int $a, int $b) => [$this->place[$a], $a] <=> [$this->place[$b], $b]);
            $this->own[$area->key] = $own;
        }
    }

    /**
     * @param  bool  $asChosen  one model as the planner chose it: neither one of several kinds that are painted in one
     *     order, nor changed by hand, which may leave a decal on bare paint
     * @return list<string> every rule that is broken, with the two steps
     */
    public static function broken(Plan $plan, bool $asChosen = true): array
    {
        $checker = new self($plan);
        $checker->onOneArea();
        $checker->onTheModel();
        $checker->whileWet();
        $checker->maskingBeforeItsColour();
        foreach (['ring', 'teeth', 'metals', 'outermostAfterWashes', 'innerFinished', 'messFirst', 'innerFirst'] as $rule) {
            $wants = $checker->{$rule}();
            foreach ($wants as [$earlier, $later, $id]) {
                if (! $checker->waits($earlier, $later, $id)) {
                    $checker->hold($earlier, $later, $id);
                }
            }
            // What leads back to something that waits for what lies under it need not wait for that in turn.
            foreach ($wants as [$earlier, $later, $id]) {
                if ($checker->waits($earlier, $later, $id) && ! $checker->isParted([$later], [$earlier])) {
                    $checker->hold($earlier, $later, $id);
                }
            }
            foreach ($wants as [$earlier, $later]) {
                $checker->wanted[$checker->pair($earlier, $later)][] = [$earlier, $later];
            }
        }
        $checker->groundsThatShow();
        if ($asChosen) {
            $checker->touchUpsInOnePass();
            $checker->longDryingEarly();
            $checker->decalsOnSomething();
        }

        return array_values(array_unique($checker->broken));
    }

    /** Whether inner_finished speaks of something that waits for the washes of the other area, which lies under it. */
    private function waits(int $earlier, int $later, string $rule): bool
    {
        [$outer, $inner] = [$this->steps[$earlier]->area, $this->steps[$later]->area];

        return $rule === 'inner_finished' && $outer !== null && $inner !== null && in_array($inner, $this->under($outer), true);
    }

    private function pair(int $one, int $other): string
    {
        return "{$this->steps[$one]->area?->key} {$this->steps[$other]->area?->key}";
    }

    /** An earlier rule that wants the two areas the other way round is not contradicted. */
    private function hold(int $earlier, int $later, string $rule): void
    {
        foreach ($this->wanted[$this->pair($later, $earlier)] ?? [] as [$a, $b]) {
            // later … a before b … earlier, by the order on each of the two areas
            if ($this->isUpTo($later, $a) && $this->isUpTo($b, $earlier)) {
                return;
            }
        }
        $this->must($earlier, $later, $rule);
    }

    private function isUpTo(int $one, int $other): bool
    {
        $own = $this->own[(string) $this->steps[$one]->area?->key];

        return array_search($one, $own, true) <= array_search($other, $own, true);
    }

    private function must(int $earlier, int $later, string $rule): void
    {
        $this->ruled[$earlier][$later] = true;
        if ($earlier > $later) {
            $name = fn (int $i): string => "{$this->steps[$i]->technique->key} {$this->steps[$i]->pass} on ".
                ($this->steps[$i]->area->key ?? '*');
            $this->broken[] = "$rule: {$name($later)} stands at $later before {$name($earlier)} at $earlier";
        }
    }

    /** The place of the table that a technique has by its effects, as a number from 0. */
    public static function phase(Step $step): int
    {
        return (int) array_search(self::named($step), array_keys(self::PLACES), true);
    }

    // Places

    private function placeOf(Step $step): float
    {
        if ($step->technique->key === 'masking') {
            return $this->rank['base'] - 0.5;
        }
        if ($step->key()->id === $step->place()->id.':joint') {
            return $this->rank['joint'];
        }
        $area = $step->area;
        $key = $step->technique->key;
        $place = $this->rank[self::named($step)] + $this->tone($step);
        if ($area === null) {
            return $place;
        }
        if ($area->material === Material::Skin && $key === 'wash_all_over' && $this->says(School::SkinWash, $area) === 'first') {
            $place = $this->rank['base'] - 0.2;
        }
        $underWash = in_array($key, ['sponge_chips', 'drawn_damage', 'rust_grime'], true);
        if ($underWash && $this->says(School::Weathering, $area) === 'under_wash') {
            $place = $this->rank['shade over a base'] - 0.2;
        }
        if (self::named($step) === 'ground texture' && $this->says(School::Texture, $area) === 'before_undercoat') {
            return $this->rank['undercoat'] - 0.5;
        }
        $place = $this->inGroundSteps($step) ?? $place;
        if ($area->rank === Rank::Ground && $this->says(School::Ground, null) === 'first' && $place < $this->rank['matt']) {
            $place = $this->rank['value wash'] + $place / 100;
        }

        return $place;
    }

    /** The method's own order of the ground; what follows water stands after matt, too. */
    private function inGroundSteps(Step $step): ?float
    {
        $order = $this->plan->request->method->groundSteps;
        $nth = array_search($step->technique->key, $order, true);
        if ($nth === false || $step->area?->rank !== Rank::Ground || self::named($step) === 'rim') {
            return null;
        }
        $isThere = fn (string $key): bool => array_filter(
            $this->steps,
            fn (Step $s) => $s->technique->key === $key && $s->area?->key === $step->area->key,
        ) !== [];
        $upTo = array_slice($order, 0, (int) $nth + 1);
        $water = array_filter(array_intersect($upTo, self::PLACES['plants']), $isThere) !== [];

        return $this->rank[$water ? 'plants' : 'ground texture'] + (int) $nth / 100;
    }

    private static function named(Step $step): string
    {
        if ($step->technique->has(Effect::BaseColour)) {
            return 'base';
        }
        foreach (self::PLACES as $place => $techniques) {
            if (in_array($step->technique->key, $techniques, true)) {
                return $place;
            }
        }

        return 'no place';
    }

    /**
     * Within raised light, and within edges and hatching, the tone: pass p of m goes to tone ⌈p·T/m⌉. In one tone
     * stipple, layer, glaze; edges, then hatching.
     */
    private function tone(Step $step): float
    {
        $place = self::named($step);
        if (! in_array($place, ['raised', 'edge'], true)) {
            return 0.0;
        }
        $passes = [];
        foreach ($this->steps as $other) {
            if ($other->area?->key === $step->area?->key && self::named($other) === $place) {
                $passes[$other->technique->key] = ($passes[$other->technique->key] ?? 0) + 1;
            }
        }
        $tone = ceil(($step->pass * max($passes)) / $passes[$step->technique->key]);

        return $tone / 20 + (int) array_search($step->technique->key, self::PLACES[$place], true) / 100;
    }

    private function says(School $school, ?Area $area): ?string
    {
        $method = $this->plan->request->method;

        return $area === null
            ? $method->answer($school)
            : $method->answerFor($school, $area, $this->plan->request->sculpt);
    }

    private function isPaint(int $i): bool
    {
        return $this->place[$i] >= $this->rank[self::PAINT[0]] &&
            $this->place[$i] < $this->rank[self::PAINT[1]] + 1 &&
            $this->steps[$i]->area !== null &&
            $this->steps[$i]->area->rank !== Rank::Ground;
    }

    private function is(int $i, string ...$places): bool
    {
        return in_array(self::named($this->steps[$i]), $places, true);
    }

    private function strays(int $i): bool
    {
        return $this->steps[$i]->area !== null && $this->steps[$i]->technique->mess >= 2;
    }

    private function isSprayed(int $i): bool
    {
        return $this->steps[$i]->technique->family === Family::Spray;
    }

    /** @return array<int, int> what goes into something wet, to what it goes into */
    private function wet(): array
    {
        $wet = [];
        foreach ($this->plan->request->sculpt->areas as $area) {
            $own = $this->own[$area->key];
            $of = fn (string ...$keys): array => array_values(
                array_filter($own, fn (int $i) => in_array($this->steps[$i]->technique->key, $keys, true)),
            );
            $washes = array_filter(
                $own,
                fn (int $i) => $this->steps[$i]->technique->tidied && $this->steps[$i]->technique->has(Effect::Shade),
            );
            usort($washes, fn (int $a, int $b) => [$this->place[$a], $a] <=> [$this->place[$b], $b]);
            if ($washes !== [] && $this->says(School::Decals, $area) === 'wet_wash') {
                foreach ($of('decal') as $decal) {
                    $wet[$decal] = $washes[count($washes) - 1];
                }
            }
            $isOnBare = $this->says(School::Texture, $area) !== 'before_undercoat';
            $painted = $of('ground_paint', 'ground_wash', 'ground_drybrush', 'ground_scene', 'ground_sand');
            foreach ($painted === [] && $isOnBare && $of('ground_texture') !== [] ? $of('ground_tufts') : [] as $tufts) {
                $wet[$tufts] = $of('ground_texture')[0];
            }
        }

        return $wet;
    }

    // Rules

    private function onOneArea(): void
    {
        $wet = $this->wet();
        foreach ($this->own as $own) {
            foreach ($own as $a) {
                foreach ($own as $b) {
                    if (isset($wet[$a]) || isset($wet[$b])) {
                        continue;
                    }
                    if ($this->place[$a] < $this->place[$b]) {
                        $this->must($a, $b, 'phase');
                    } elseif ($this->place[$a] === $this->place[$b]) {
                        $isLater = $this->steps[$a]->technique->key === $this->steps[$b]->technique->key;
                        if ($isLater && $this->steps[$a]->pass < $this->steps[$b]->pass) {
                            $this->must($a, $b, 'dry_through');
                        }
                        if ($this->strays($a) && ! $this->strays($b) && ! $this->is($a, 'wear')) {
                            $this->must($a, $b, 'mess_first');
                        }
                    }
                }
            }
        }
    }

    private function onTheModel(): void
    {
        $metalsLast = $this->says(School::Metals, null) === 'last';
        foreach ($this->steps as $i => $step) {
            foreach ($this->steps as $j => $other) {
                $isLate = fn (Step $s): bool => $metalsLast && $s->area !== null && $this->isMetalWork($s->area);
                if ($i === $j || $step->sprays !== [] || $other->sprays !== []) {
                    continue;
                }
                if (($step->area === null || $other->area === null) && ! $isLate($step) && ! $isLate($other)) {
                    if ($this->place[$i] < $this->place[$j]) {
                        $this->must($i, $j, 'phase');
                    }
                }
                if ($this->is($j, 'rim') && $this->place[$i] < $this->rank['rim']) {
                    $this->must($i, $j, 'rim_last');
                }
                $isOfPart = $step->area?->part !== null && ! $isLate($step) && $this->place[$i] < $this->rank['joint'];
                if ($isOfPart && $other->technique->key === 'join_parts') {
                    $this->must($i, $j, 'join_late');
                }
                $isGround =
                    $step->area?->rank === Rank::Ground &&
                    ! $this->is($i, 'plants', 'rim') &&
                    $this->place[$i] > $this->rank['undercoat'];
                $policy = $this->says(School::Ground, null);
                $isBeforeMatt = $this->place[$i] < $this->rank['matt'];
                if ($isGround && $policy === 'first' && $isBeforeMatt && $this->isPaint($j) && ! $this->isSprayed($j)) {
                    $this->must($i, $j, 'ground_policy');
                }
                if ($isGround && $policy === 'last' && $this->isPaint($j) && ! $isLate($other)) {
                    $this->must($j, $i, 'ground_policy');
                }
                if ($isGround && $policy === 'apart' && $other->technique->key === 'join_base') {
                    $this->must($i, $j, 'ground_policy');
                }
            }
        }
    }

    /** The second stands in the next pass, or in one of those right after that go into the same wet paint. */
    private function whileWet(): void
    {
        $pass = [];
        foreach ($this->plan->work->passes as $no => $of) {
            foreach ($of->steps as $i) {
                $pass[$i] = $no;
            }
        }
        $wet = $this->wet();
        foreach ($wet as $then => $first) {
            for ($no = $pass[$first] + 1; $no < $pass[$then]; $no++) {
                foreach ($this->plan->work->passes[$no]->steps as $between) {
                    if (! isset($wet[$between])) {
                        $this->must($then, $between, 'while_wet');
                    }
                }
            }
            $this->must($first, $then, 'while_wet');
        }
    }

    private function maskingBeforeItsColour(): void
    {
        foreach ($this->plan->work->passes as $no => $pass) {
            $masking = $this->steps[$pass->steps[0]];
            foreach ($masking->sprays === [] ? [] : $this->plan->work->passes[$no + 1]->steps ?? [-1] as $i) {
                $area = $this->steps[$i]->area->key ?? '';
                if (! in_array($area, $masking->sprays, true) || ! $this->isSprayed($i)) {
                    $this->broken[] = "masking: at {$pass->steps[0]} something else than its colour follows";
                }
            }
            foreach ($this->steps as $i => $step) {
                $isColour = $this->isSprayed($i) && $this->is($i, 'base');
                if ($isColour && in_array($step->area?->key, $masking->sprays, true)) {
                    $this->must($pass->steps[0], $i, 'masking');
                } elseif ($isColour && in_array($step->area?->key, $masking->covers, true)) {
                    $this->must($i, $pass->steps[0], 'masking');
                }
            }
        }
    }

    /** @return list<array{int, int, string}> */
    private function ring(): array
    {
        $wants = [];
        foreach ($this->plan->request->sculpt->areas as $gem) {
            foreach ($gem->surround === null ? [] : $this->own[$gem->surround] ?? [] as $i) {
                if ($this->is($i, 'base', 'overbrush', 'drybrush', 'shade and light at once', 'raised', 'edge', 'point')) {
                    foreach (array_filter($this->own[$gem->key], $this->isPaint(...)) as $j) {
                        $wants[] = [$i, $j, 'ring_then_gem'];
                    }
                }
            }
        }

        return $wants;
    }

    /** @return list<array{int, int, string}> */
    private function teeth(): array
    {
        $wants = [];
        foreach ($this->plan->request->sculpt->areas as $teeth) {
            foreach (in_array($teeth->material, [Material::TeethClaw, Material::Eye], true) ? $this->skinAt($teeth) : [] as $skin) {
                foreach ($this->own[$skin->key] as $i) {
                    foreach ($this->steps[$i]->technique->has(Effect::Shade) ? $this->own[$teeth->key] : [] as $j) {
                        if ($this->isPaint($j)) {
                            $wants[] = [$i, $j, 'skin_then_teeth'];
                        }
                    }
                }
            }
        }

        return $wants;
    }

    /** @return list<array{int, int, string}> */
    private function metals(): array
    {
        $wants = [];
        $policy = $this->says(School::Metals, null);
        foreach ($this->steps as $i => $step) {
            foreach ($this->steps as $j => $other) {
                if ($step->area === null || $other->area === null || ! $this->isPaint($i) || ! $this->isPaint($j)) {
                    continue;
                }
                $isFirst = $this->is($i, 'base', 'shade over a base', 'stain as shade', 'wash', 'recess', 'deepening glaze') ||
                    $this->is($i, 'tone', 'overbrush', 'drybrush');
                if ($policy === 'first' && $step->area->isMetal() && $isFirst && ! $other->area->isMetal() && $this->is($j, 'base')) {
                    $wants[] = [$i, $j, 'metals_policy'];
                }
                if ($policy === 'last' && ! $this->isMetalWork($step->area) && $this->isMetalWork($other->area)) {
                    $wants[] = [$i, $j, 'metals_policy'];
                }
            }
        }

        return $wants;
    }

    private function isMetalWork(Area $area): bool
    {
        $ring = $area->surround === null ? null : $this->plan->request->sculpt->area($area->surround);

        return $area->isMetal() || $ring?->isMetal() === true;
    }

    /** @return list<array{int, int, string}> */
    private function innerFinished(): array
    {
        $wants = [];
        $wet = $this->wet();
        foreach ($this->plan->request->sculpt->areas as $inner) {
            foreach ($this->finished($inner) as $i) {
                foreach ($this->around($inner) as $outer) {
                    if ($outer->rank === Rank::Ground || $this->turn($inner) >= $this->turn($outer)) {
                        continue;
                    }
                    // Up to the step that is done in the same pass an area need not wait; after it, it must.
                    $isShared = fn (int $j): bool => $this->steps[$j]->technique->key === $this->steps[$i]->technique->key &&
                        $this->steps[$j]->colour?->words() === $this->steps[$i]->colour?->words() &&
                        $this->steps[$j]->pass === $this->steps[$i]->pass;
                    $shared = array_values(array_filter($this->own[$outer->key], $isShared));
                    foreach ($this->own[$outer->key] as $j) {
                        // What goes into a wash goes with it.
                        $isExempt = isset($wet[$j]) || ($shared !== [] && $this->isUpTo($j, $shared[0]));
                        if (! $isExempt && ! $this->isSprayed($j) && $this->place[$j] !== (float) $this->rank['joint']) {
                            $wants[] = [$i, $j, 'inner_finished'];
                        }
                    }
                }
            }
        }

        return $wants;
    }

    /**
     * What has its turn early for its mess, and under which all that it touches lies, waits for the washes below it,
     * and for the bases of what lies under what is washed.
     *
     * @return list<array{int, int, string}>
     */
    private function outermostAfterWashes(): array
    {
        $wants = [];
        foreach ($this->plan->request->sculpt->areas as $outer) {
            $under = $this->under($outer);
            foreach ($under as $inner) {
                $isOver = fn (Area $a): bool => in_array($a, $this->around($inner), true) && $this->turn($inner) < $this->turn($a) &&
                    array_filter($this->own[$a->key], $this->isWash(...)) !== [];
                $isUnderWashed = array_filter($under, $isOver) !== [];
                foreach ($this->own[$inner->key] as $i) {
                    $isFirst = ($isUnderWashed && $this->is($i, 'base')) || $this->isWash($i);
                    foreach ($isFirst ? $this->own[$outer->key] : [] as $j) {
                        if (! $this->isSprayed($j) && $this->place[$j] !== (float) $this->rank['joint']) {
                            $wants[] = [$i, $j, 'inner_finished'];
                        }
                    }
                }
            }
        }

        return $wants;
    }

    /** @return list<Area> what an area waits for that is messy from the start and lies on top, if anything there is washed */
    private function under(Area $outer): array
    {
        $around = array_filter($this->around($outer), fn (Area $a) => $a->rank !== Rank::Ground && $this->own[$a->key] !== []);
        $under = array_values(array_filter($around, fn (Area $a) => $a->layer < $outer->layer && $this->turn($a)[0] === 4));
        $washed = array_filter($under, fn (Area $a) => array_filter($this->own[$a->key], $this->isWash(...)) !== []);
        $over = array_filter($around, fn (Area $a) => $a->layer > $outer->layer);

        return $this->turn($outer)[0] === 3 && $over === [] && $washed !== [] ? $under : [];
    }

    private function isWash(int $i): bool
    {
        return $this->strays($i) && $this->steps[$i]->technique->has(Effect::Shade) && ! $this->is($i, 'base');
    }

    /** @return list<int> what inner_finished speaks of on an area */
    private function finished(Area $area): array
    {
        return $area->rank === Rank::Ground || $this->says(School::Neighbours, $area) === 'all_bases'
            ? []
            : array_values(
                array_filter(
                    $this->own[$area->key],
                    fn (int $i) => $this->strays($i) &&
                        ! $this->isSprayed($i) &&
                        $this->rank[self::named($this->steps[$i])] >= $this->rank['base'] &&
                        $this->rank[self::named($this->steps[$i])] <= $this->rank['raised'],
                ),
            );
    }

    /** @return list<array{int, int, string}> */
    private function messFirst(): array
    {
        $wants = [];
        $wet = $this->wet();
        // Metals that come last stand between the varnish and what is planted afterwards.
        $isLate = fn (int $i): bool => $this->says(School::Metals, null) === 'last' && $this->isPaint($i) &&
            $this->isMetalWork($this->steps[$i]->area ?? throw new \LogicException());
        $late = fn (int $i): float => $isLate($i) ? $this->rank['matt'] + $this->place[$i] / 100 : $this->place[$i];
        foreach ($this->steps as $i => $step) {
            if ($step->area === null || ! $this->strays($i) || $this->is($i, 'wear')) {
                continue;
            }
            foreach ($this->around($step->area) as $other) {
                $isEarlier = $this->turn($other) < $this->turn($step->area);
                $byGround = $other->rank === Rank::Ground || $step->area->rank === Rank::Ground;
                foreach ($this->own[$other->key] as $j) {
                    $last = array_filter($this->finished($other), fn (int $f) => $this->isUpTo($j, $f));
                    if (
                        ! $this->strays($j) &&
                        ! ($byGround && $this->is($j, 'wear')) &&
                        ! isset($wet[$j]) &&
                        $late($j) >= $late($i) &&
                        ! ($isEarlier && ($this->place[$j] < $this->rank['tidy'] || $last !== []))
                    ) {
                        $wants[] = [$i, $j, 'mess_first'];
                    }
                }
            }
        }

        return $wants;
    }

    /** @return list<array{int, int, string}> */
    private function innerFirst(): array
    {
        $wants = [];
        foreach ($this->plan->request->sculpt->areas as $inner) {
            foreach ($inner->rank === Rank::Ground ? [] : $this->own[$inner->key] as $i) {
                foreach ($this->is($i, 'base', 'fade') ? $this->around($inner) : [] as $outer) {
                    $metalsFirst = $this->says(School::Metals, null) === 'first' && ($inner->isMetal() || $outer->isMetal());
                    $isGem = $inner->surround !== null || $outer->surround !== null;
                    if ($outer->rank === Rank::Ground || $metalsFirst || $isGem) {
                        continue;
                    }
                    if ($this->isSprayed($i)) {
                        $sprays = array_filter($this->own[$outer->key], $this->isSprayed(...));
                        foreach ($this->own[$outer->key] as $j) {
                            $isFollowed = array_filter($sprays, fn (int $s) => $this->isUpTo($j, $s)) !== [];
                            if (! $isFollowed && $this->place[$j] !== (float) $this->rank['joint']) {
                                $wants[] = [$i, $j, 'inner_first'];
                            }
                        }
                    } elseif (! $this->strays($i) && $this->turn($inner) < $this->turn($outer)) {
                        foreach ($this->own[$outer->key] as $j) {
                            if ($this->is($j, 'base') && ! $this->isSprayed($j) && ! $this->strays($j)) {
                                $wants[] = [$i, $j, 'inner_first'];
                            }
                        }
                    }
                }
            }
        }

        return $wants;
    }

    /**
     * A stain stands on a ground onto which nothing strayed, and no stain of another pot that the rules put before it;
     * or that was put right since.
     */
    private function groundsThatShow(): void
    {
        $stains = ['stain_coat', 'stain_fade'];
        foreach ($this->steps as $i => $step) {
            if ($step->area === null || ! in_array($step->technique->key, $stains, true)) {
                continue;
            }
            $own = $this->own[$step->area->key];
            $underlays = array_filter($own, fn (int $j) => $this->is($j, 'underlay'));
            $isPlanned = array_filter($underlays, fn (int $j) => $this->steps[$j]->technique->key !== 'touch_up') !== [];
            foreach ($isPlanned ? [] : $this->around($step->area) as $other) {
                foreach ($this->own[$other->key] as $j) {
                    $isPutRight = array_filter($underlays, fn (int $u) => $u > $j && $u < $i) !== [];
                    $isOtherStain = in_array($this->steps[$j]->technique->key, $stains, true) &&
                        [$this->steps[$j]->technique->key, $this->steps[$j]->colour?->words()] !== [$step->technique->key, $step->colour?->words()] &&
                        $this->isParted([$j], [$i]);
                    $soils = ($this->strays($j) && ! $this->is($j, 'wear')) || $isOtherStain;
                    if ($soils && $j < $i && ! $isPutRight) {
                        $this->broken[] =
                            "touch_up_first: {$step->technique->key} on {$step->area->key} at $i stands on what ".
                            "{$this->steps[$j]->technique->key} on $other->key soiled at $j";
                    }
                    // What need not stray onto a ground that shows does so after.
                    if ($this->strays($j) && ! $this->is($j, 'wear') && $j > $i) {
                        $this->ruled[$i][$j] = true;
                    }
                    // What was soiled before it is put right after that.
                    foreach ($soils && $j < $i ? $underlays : [] as $u) {
                        $this->ruled[$j][$u] = true;
                    }
                }
            }
        }
    }

    /** Grounds are put right in one pass wherever no chain of rules parts them. */
    private function touchUpsInOnePass(): void
    {
        $passes = [];
        foreach ($this->plan->work->passes as $pass) {
            if ($this->steps[$pass->steps[0]]->technique->key === 'touch_up') {
                $passes[] = $pass->steps;
            }
        }
        for ($n = 1; $n < count($passes); $n++) {
            foreach ($passes[$n] as $i) {
                if (! $this->isParted($passes[$n - 1], [$i])) {
                    $this->broken[] = "touch_up_first: {$this->steps[$i]->area?->key} is put right apart from those before it";
                }
            }
        }
    }

    /**
     * Whether a chain of rules leads from some to others.
     *
     * @param  list<int>  $from
     * @param  list<int>  $to
     */
    private function isParted(array $from, array $to): bool
    {
        $reached = [];
        while ($from !== []) {
            foreach (array_keys($this->ruled[array_pop($from)] ?? []) as $later) {
                if (! isset($reached[$later])) {
                    $reached[$later] = true;
                    $from[] = $later;
                }
            }
        }

        return array_intersect($to, array_keys($reached)) !== [];
    }

    /** Once what must come before it is done and surely dry, what dries for hours is begun before anything else. */
    private function longDryingEarly(): void
    {
        $pass = [];
        foreach ($this->plan->work->passes as $no => $of) {
            foreach ($of->steps as $i) {
                $pass[$i] = $no;
            }
        }
        $wet = $this->wet();
        foreach ($this->steps as $i => $step) {
            if ($step->technique->dry < 120 || $step->area?->rank !== Rank::Ground) {
                continue;
            }
            $free = 0;
            foreach ($this->ruled as $earlier => $laters) {
                $free = isset($laters[$i]) ? max($free, $pass[$earlier] + 1) : $free;
            }
            for ($no = $free; $no < $pass[$i]; $no++) {
                if (! $this->isSurelyDry($step, $no)) {
                    continue;
                }
                foreach ($this->plan->work->passes[$no]->steps as $other) {
                    $masking = $no === 0 ? [] : $this->steps[$this->plan->work->passes[$no - 1]->steps[0]]->sprays;
                    if ($this->steps[$other]->technique->dry < 120 && ! isset($wet[$other]) && $masking === []) {
                        $this->broken[] = "ground_policy: {$step->technique->key} could be begun before {$this->steps[$other]->technique->key} at $other";
                    }
                }
            }
        }
    }

    /** Whether every coat before a pass that may hold a step up had its time, by the work on all pieces since alone. */
    private function isSurelyDry(Step $step, int $no): bool
    {
        $near = array_map(fn (Area $a) => $a->key, $step->area === null ? [] : $this->around($step->area));
        $since = 0.0;
        for ($before = $no - 1; $before >= 0 && $since < 400; $before--) {
            $pass = $this->plan->work->passes[$before];
            foreach ($pass->steps as $i) {
                $key = $this->steps[$i]->area?->key;
                $holds = $key === null || $key === $step->area?->key || ($this->strays($i) && in_array($key, $near, true));
                if ($holds && $since < $this->steps[$i]->drying()) {
                    return false;
                }
            }
            $since += $pass->minutes * $this->plan->request->pieces;
        }

        return true;
    }

    /** A decal goes on gloss or into a wet wash, never on what is bare. */
    private function decalsOnSomething(): void
    {
        $wet = $this->wet();
        foreach ($this->steps as $i => $step) {
            $gloss = array_filter(
                $step->technique->key === 'decal' ? $this->own[(string) $step->area?->key] : [],
                fn (int $j) => $this->is($j, 'gloss under') && $j < $i,
            );
            if ($step->technique->key === 'decal' && $gloss === [] && ! isset($wet[$i])) {
                $this->broken[] = "mark_surface: a decal on bare {$step->area?->key}";
            }
        }
    }

    // Turns

    /** @return array{int, float} */
    private function turn(Area $area): array
    {
        $metals = $this->says(School::Metals, null);
        $face = fn (Area $a): string => $a->material === Material::Skin && $a->focus === 3
            ? $this->says(School::Faces, $a) ?? 'last'
            : 'none';
        // The base; where it is left out, what is brushed on first.
        $bases = array_values(array_filter($this->own[$area->key], fn (int $i) => $this->is($i, 'base')));
        $brushed = array_values(
            array_filter(
                $this->own[$area->key],
                fn (int $i) => $this->isPaint($i) && ! $this->isSprayed($i) && ! $this->is($i, 'wear'),
            ),
        );
        $first = $bases[0] ?? $brushed[0] ?? null;
        $isMessy = $first !== null && $this->strays($first) && ! $this->isSprayed($first);
        $skins = $this->skinAt($area);
        if ($metals === 'first' && $area->isMetal()) {
            return [1, 0.0];
        }
        if ($metals === 'last' && $area->isMetal()) {
            return [7, $isMessy ? 0.0 : 1.0];
        }
        if ($metals === 'last' && $this->isMetalWork($area)) {
            return [7, 2.0];
        }
        if ($face($area) === 'first') {
            return [2, 0.0];
        }
        if ($isMessy) {
            return [3, 0.0];
        }
        if ($face($area) === 'last') {
            return [6, 0.0];
        }
        $isSmall = $area->material === Material::Eye || ($area->material === Material::TeethClaw && $area->rank === Rank::Detail);
        foreach ($isSmall || $area->material === Material::HairFur ? $skins : [] as $skin) {
            if ($face($skin) === 'last' && ($isSmall || $area->layer > $skin->layer)) {
                return [6, 1.0];
            }
        }
        if ($area->surround !== null || $area->material === Material::Eye) {
            return [5, 0.0];
        }
        if ($area->material === Material::TeethClaw && $skins !== []) {
            $turns = array_map($this->turn(...), $skins);
            sort($turns);
            [$group, $within] = $turns[count($turns) - 1];

            return $area->rank === Rank::Detail ? [5, 0.0] : [$group, $within + 0.5];
        }

        return [4, (float) $area->layer];
    }

    /** @return list<Area> */
    private function skinAt(Area $area): array
    {
        $sculpt = $this->plan->request->sculpt;

        return array_values(
            array_filter(
                $sculpt->areas,
                fn (Area $a) => $a->material === Material::Skin && $sculpt->touch($a->key, $area->key),
            ),
        );
    }

    /** @return list<Area> areas that it touches while it is painted */
    private function around(Area $area): array
    {
        $sculpt = $this->plan->request->sculpt;
        $isApart = fn (Area $a): ?string => $a->rank === Rank::Ground && $this->says(School::Ground, null) === 'apart'
            ? 'ground'
            : $a->part;

        return array_values(
            array_filter(
                $sculpt->areas,
                fn (Area $a) => $sculpt->touch($a->key, $area->key) && $isApart($a) === $isApart($area),
            ),
        );
    }
}
