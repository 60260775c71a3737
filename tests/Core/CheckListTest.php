<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\CheckpointKey;
use Ordotype\Core\Inspection\Look;
use Ordotype\Core\Inspection\Mended;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Inspection\Touched;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Words\CheckWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

/** The list of a check, held against a reading of its definition that shares nothing with how it is made. */
final class CheckListTest extends TestCase
{
    private const VIEWS = [View::Front, View::Back];

    /** Where an effect or a criterion is looked at, as the definition lists it. */
    private const ASPECTS = [
        'cover' => 'underlay base_colour texture bare_primer base_colour',
        'tones' => 'shade highlight_raised blend tint tone tonal_span tones light_from_above hard_step colour_drift '.
            'colour_steps',
        'lines' => 'highlight_edge separate separate_tinted line_width line_share last_light',
        'details' => 'pick_out highlight_spot tint_over glow mark mark_wear mark_settled letter letter_full freehand',
        'metal' => 'reflect gloss',
        'wear' => 'wear wear_drawn grime',
        'ground' => 'ground_texture ground_colour ground_shade ground_light ground_plants ground_wet ground_scene '.
            'ground_tie rim',
        'varnish' => 'protect',
    ];

    /** @return iterable<string, array{string, string}> */
    public static function pieces(): iterable
    {
        foreach (
            ['sluice-warden', 'lantern-provost', 'mudlark', 'bell-diver', 'reedback-toad', 'ferry-gun'] as $figure
        ) {
            foreach (['muster', 'company', 'banner', 'cabinet', 'centrepiece'] as $tier) {
                yield "$figure at $tier" => [$figure, $tier];
            }
        }
    }

    #[DataProvider('pieces')]
    public function test_a_piece_of_the_demo_gets_six_to_sixteen_looks_view_by_view(string $figure, string $tier): void
    {
        $looks = self::list(self::plan($figure, $tier))->looks();
        self::assertGreaterThanOrEqual(6, count($looks));
        self::assertLessThanOrEqual(16, count($looks));
        $places = ['front' => 0, 'back' => 1, 'top' => 2, 'under' => 3, '' => 4];
        $before = [-1, 0];
        foreach ($looks as $look) {
            $place = $places[$look->view->value ?? ''];
            self::assertGreaterThanOrEqual($before[0], $place);
            if ($place === $before[0] && $look->view !== null) {
                self::assertLessThanOrEqual($before[1], $look->notice(), 'the most noticed first');
            }
            $before = [$place, $look->notice()];
        }
        self::assertSame('final', $looks[count($looks) - 1]->aspect->value);
        self::assertContains('back', array_map(fn (Look $l) => $l->view?->value, $looks), 'the tier wants it seen');
        $this->isAsDefined(self::plan($figure, $tier), $looks);
    }

    public function test_the_list_of_random_cases_is_as_it_is_defined(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $plan = Demo::planner()->plan((new RandomCase($seed))->request());
            $this->isAsDefined($plan, self::list($plan)->looks());
        }
    }

    /** @param  list<Look>  $looks */
    private function isAsDefined(Plan $plan, array $looks): void
    {
        $keys = [];
        foreach ($looks as $look) {
            self::assertNotSame([], $look->checkpoints, 'a look that holds nothing is left out');
            foreach ($look->checkpoints as $c) {
                self::assertSame([$look->view, $look->aspect], [$c->view, $c->aspect]);
                $keys[] = $c->key->id;
                self::assertLessThanOrEqual(190, strlen($c->key->id));
            }
        }
        self::assertSame($keys, array_values(array_unique($keys)));
        $seen = array_count_values(array_map(self::sideOf(...), $plan->request->sculpt->areas));
        foreach ($plan->areas as $planned) {
            $area = $planned->demand->area;
            self::assertNotNull($area);
            $side = self::sideOf($area);
            $only = $seen[$side] >= 3 ? null : ($side === 'top' ? 'ground' : 'all');
            foreach ($planned->demand->requirements as $requirement) {
                $this->isAskedOnce($plan, $looks, $requirement, $area, $only);
            }
            foreach (InspectionTest::faults()->kinds as $kind) {
                if (self::canBeThere($plan, $area, $kind)) {
                    $aspect = $only ?? self::aspectOf(array_map(fn ($e) => $e->value, $kind->effects)) ?? 'cover';
                    $offered = self::about(self::in($looks, $side, $aspect), $area->key);
                    $kinds = array_merge(...array_map(fn (Checkpoint $c) => $c->faults, $offered));
                    self::assertContains($kind->key, $kinds, "$kind->key on $area->key, $side, $aspect");
                }
            }
        }
        foreach (array_merge(...array_map(fn (Look $l) => $l->checkpoints, $looks)) as $c) {
            self::assertSame(self::mustBeAnswered($plan, $c), $c->mandatory, $c->key->id);
            self::assertNotSame([], $c->faults, "{$c->key->id} could not be answered with a fault");
        }
    }

    /** @param  list<Look>  $looks */
    private function isAskedOnce(Plan $plan, array $looks, Requirement $r, Area $area, ?string $only): void
    {
        $shines = in_array($area->material->value, ['steel', 'gold', 'copper', 'gem_lens'], true);
        $words = match (true) {
            $r instanceof TechniqueRequirement => array_keys(
                $plan->request->standard->technique($r->technique)->effects,
            ),
            default => explode('|', $r->subject()),
        };
        $aspect = $only ?? self::aspectOf([$words[0] ?? 'base_colour']) ?? ($shines ? 'metal' : 'cover');
        $asking = array_filter(
            self::about(self::in($looks, self::sideOf($area), $aspect), $area->key),
            fn (Checkpoint $c) => $c->asked !== null &&
                [$c->asked->kind(), $c->asked->subject()] === [$r->kind(), $r->subject()] &&
                self::extent($c->asked) === self::extent($r) &&
                array_intersect($c->clauses, array_map(fn ($why) => $why->id, $r->reasons)) !== [],
        );
        self::assertCount(1, $asking, "{$r->subject()} on $area->key in $aspect");
    }

    /** @return list<mixed> what of it one checkpoint must not mix */
    private static function extent(Requirement $r): array
    {
        return match (true) {
            $r instanceof EffectRequirement, $r instanceof TechniqueRequirement => [$r->extent, $r->passes],
            $r instanceof StepsRequirement => [$r->min, $r->max],
            $r instanceof FinishRequirement => [$r->limit],
            default => [],
        };
    }

    private static function mustBeAnswered(Plan $plan, Checkpoint $c): bool
    {
        if ($c->key->id === 'final_look') {
            return true;
        }
        if ($c->asked instanceof EffectRequirement || $c->asked instanceof TechniqueRequirement) {
            return true;
        }
        $hero = in_array($plan->request->sculpt->role->value, ['hero', 'centrepiece'], true);
        $seen = array_filter($c->areas, fn (string $a) => $plan->request->sculpt->area($a)->focus >= 2) !== [];
        foreach ($seen ? $c->faults : [] as $key) {
            $kind = InspectionTest::faults()->kind($key);
            $severity = $plan->request->tier->faults[$key] ?? ($hero ? $kind->heroSeverity : null) ?? $kind->severity;
            if ($severity !== Severity::Minor) {
                return true;
            }
        }

        return false;
    }

    private static function sideOf(Area $area): string
    {
        return match (true) {
            $area->rank->value === 'ground' => 'top',
            in_array($area->facing->value, ['back', 'under'], true) => $area->facing->value,
            default => 'front',
        };
    }

    /** @param  list<string>  $words */
    private static function aspectOf(array $words): ?string
    {
        foreach ($words as $word) {
            foreach (self::ASPECTS as $aspect => $those) {
                if (in_array($word, explode(' ', $those), true)) {
                    return $aspect;
                }
            }
        }

        return null;
    }

    private static function canBeThere(Plan $plan, Area $area, FaultKind $kind): bool
    {
        $words = array_map(fn ($e) => $e->value, $kind->effects);
        $given = [];
        foreach ($plan->area($area->key)->choice->techniques ?? [] as $used) {
            array_push($given, ...array_keys($used->technique->effects));
        }

        return ! in_array($kind->where, ['whole'], true) &&
            $kind->key !== FaultTable::MISSING &&
            ($kind->materials === [] || in_array($area->material, $kind->materials, true)) &&
            ($words === []
                ? in_array('base_colour', $given, true) || $area->rank->value === 'ground'
                : array_intersect($words, $given) !== []);
    }

    /**
     * @param  list<Look>  $looks
     * @return list<Checkpoint>
     */
    private static function in(array $looks, string $side, string $aspect): array
    {
        foreach ($looks as $look) {
            if ($look->view?->value === $side && $look->aspect->value === $aspect) {
                return $look->checkpoints;
            }
        }

        return [];
    }

    /**
     * @param  list<Checkpoint>  $checkpoints
     * @return list<Checkpoint>
     */
    private static function about(array $checkpoints, string $area): array
    {
        return array_values(array_filter($checkpoints, fn (Checkpoint $c) => in_array($area, $c->areas, true)));
    }

    public function test_each_line_says_how_it_should_be_and_is_about_the_areas_beside_it(): void
    {
        $words = new CheckWords(Demo::standard());
        $said = [];
        foreach (self::list(self::plan('sluice-warden', 'banner'))->checkpoints() as $c) {
            $said[$words->checkpoint($c)] = [$c->areas, $c->clauses];
        }
        self::assertSame([['coat', 'hood', 'face'], ['banner.steps.main']], $said['3 colour steps or more can be told apart']);
        self::assertSame(['coat', 'gorget', 'satchel', 'boots', 'hook'], $said['A light line along the edges, everywhere'][0]);
        self::assertContains('banner.drift', $said['The colours match the rest of the unit'][1]);
        self::assertSame([[], ['company.undercoat']], $said['The undercoat is on, even and smooth']);
        self::assertArrayNotHasKey('It is there', $said, 'minutes and skill are no matter of looking');
        $withPicture = new CheckList(self::plan('sluice-warden', 'banner'), InspectionTest::faults(), self::VIEWS, true);
        $last = array_slice($withPicture->looks(), -2);
        self::assertSame(['reference', 'final'], array_map(fn (Look $l) => $l->aspect->value, $last));
        self::assertStringContainsString('client’s picture', $words->checkpoint($last[0]->checkpoints[0]));
    }

    public function test_after_a_repair_only_what_it_touched_is_asked_and_the_final_look(): void
    {
        $plan = self::plan('sluice-warden', 'banner');
        $all = self::list($plan)->checkpoints();
        $kind = InspectionTest::faults()->kind('tide_mark');
        $coat = $plan->request->sculpt->area('coat');
        $steps = (new Repair($plan))->of($kind, $coat, Spread::Patch, false);
        $done = array_map(fn (RepairStep $s) => [$s->technique, $s->area?->key], $steps);
        $again = Touched::by($all, [Mended::by('tide_mark', 'coat', $done)], []);
        $touched = array_unique([...array_map(fn (RepairStep $s) => $s->area->key ?? '', $steps), 'coat']);
        foreach ($again as $c) {
            $isWhole = $c->aspect?->value === 'final';
            self::assertTrue($isWhole || array_diff($c->areas, $touched) === [], $c->key->id);
        }
        $keys = array_map(fn (Checkpoint $c) => $c->key->id, $again);
        self::assertContains('final_look', $keys);
        $shade = array_values(array_filter($all, fn (Checkpoint $c) => $c->clauses === ['muster.shade']))[0];
        self::assertContains($shade->key->id, $keys, 'where it was found');
        self::assertStringNotContainsString('top.ground', implode(' ', $keys));
        self::assertLessThan(count($all), count($again));

        // What nobody answered is asked whole; with nothing mended only that and the final look are.
        $open = Touched::by($all, [], [CheckpointKey::kept($shade->key->id)]);
        $ofFinal = array_filter($all, fn (Checkpoint $c) => $c->aspect?->value === 'final');
        self::assertCount(1 + count($ofFinal), $open);
        self::assertSame($shade->areas, $open[0]->areas);

        // Varnish over the whole model is looked at as varnish.
        $varnish = $plan->request->standard->technique('matt_varnish');
        $mended = Mended::by('frosted_varnish', null, [[$varnish, null]]);
        $keys = array_map(fn (Checkpoint $c) => $c->key->id, Touched::by($all, [$mended], []));
        self::assertContains('whole.varnish faults', $keys);
    }

    private static function list(Plan $plan): CheckList
    {
        return new CheckList($plan, InspectionTest::faults(), self::VIEWS);
    }

    private static function plan(string $figure, string $tier): Plan
    {
        static $plans = [];
        $standard = Demo::standard();

        return $plans["$figure $tier"] ??= Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt($figure)),
        );
    }
}
