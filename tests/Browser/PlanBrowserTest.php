<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Sculpt\OutlinedSurface;

/** Plans bent by hand, models that differ, schemes and maps, through the interface. */
final class PlanBrowserTest extends BrowserTestCase
{
    public function test_a_step_is_moved_against_a_rule_only_with_a_reason_and_it_is_undone(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-041');
        $chrome->open("/units/$unit/plan?tab=order");
        $chrome->waitFor('Drag a step to move it');
        $first = $this->order()[0];
        $chrome->css('.order li:nth-child(2) .moves button:first-child')->click();
        $chrome->waitFor('cannot stand there as it is');
        self::assertSame($first, $this->order()[0], 'nothing has moved yet');
        self::assertFalse($chrome->text('Set aside and move', 'button')->isEnabled());
        $chrome->css('.refused input')->sendKeys('The castings came cleaned.');
        $chrome->press('Set aside and move');
        $chrome->waitFor('Set aside for this order');
        $chrome->waitFor('The castings came cleaned.');
        self::assertSame($first, $this->order()[1]);
        $chrome->press('Let it hold again');
        $chrome->waitFor('In the order you made');
        $chrome->press('As the planner lays it out');
        $chrome->waitFor('Shortest waiting first');
        self::assertSame($first, $this->order()[0]);
        // What no rule forbids needs no reason, and Undo takes it back.
        $moved = null;
        for ($i = 4; $i < 20 && $moved === null; $i++) {
            $before = $this->order();
            $chrome->css(".order li:nth-child($i) .moves button:last-child")->click();
            usleep(900_000);
            if ($chrome->seen('cannot stand there')) {
                $chrome->press('Leave it where it was');
            } elseif ($this->order() !== $before) {
                $moved = $before;
            }
        }
        self::assertNotNull($moved);
        $chrome->press('Undo');
        $this->until(fn () => $this->order() === $moved);
    }

    public function test_a_dragged_step_says_what_its_place_means_before_it_is_let_go(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open("/units/{$this->unit('26-041')}/plan?tab=order");
        $chrome->waitFor('Drag a step to move it');
        $before = $this->order();
        $letGo = $chrome->drag('.order li:nth-child(5) .no', '.order li:nth-child(1) .no');
        $chrome->waitFor('Here it breaks: ');
        $chrome->waitFor('comes before');
        self::assertSame($before, $this->order(), 'nothing has moved yet');
        $letGo();
        $chrome->waitFor('cannot stand there as it is');
        $chrome->press('Leave it where it was');
        self::assertSame($before, $this->order());
        // Nothing orders the spray on the hood and on the coat.
        $letGo = $chrome->drag('.order li:nth-child(5) .no', '.order li:nth-child(4) .no');
        $chrome->waitFor('It may stand here: ');
        $letGo();
        $chrome->waitFor('In the order you made');
        self::assertSame([$before[4], $before[3]], array_slice($this->order(), 3, 2));
        $chrome->press('Undo');
        $this->until(fn () => $this->order() === $before);
    }

    public function test_a_technique_is_carried_to_the_next_area_by_keys_alone(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-041');
        $plan = $this->get("units/$unit/plan");
        [$from, $to, $technique] = $this->carried($plan);
        $chrome->open("/units/$unit/plan");
        $chrome->waitFor('Meets the tier');
        $chips = fn () => $chrome->page->findElements(WebDriverBy::cssSelector(".step[data-area='$to']"));
        $before = count($chips());
        $short = $chrome->page->executeScript(
            'const chip = [...document.querySelectorAll(`.step[data-area="${arguments[0]}"]`)]'.
                '.find(c => c.title.startsWith(arguments[1])); chip.focus(); return chip.querySelector(".t").innerText',
            [$from, $technique['name']],
        );
        $page = $chrome->page->getKeyboard();
        $page->sendKeys(' ');
        $chrome->css('.step.dragging');
        $heard = fn (string $words) => str_contains(
            (string) $chrome->page->executeScript(
                'return [...document.querySelectorAll("[aria-live]")].map(e => e.textContent).join(" ")',
            ),
            $words,
        );
        $name = array_column($plan['figure'], 'name', 'key');
        $this->until(fn () => $heard("Over {$name[$from]}"));
        $page->sendKeys(WebDriverKeys::ARROW_DOWN);
        $this->until(fn () => $heard("Over {$name[$to]}"));
        // A key that means something on this page means nothing while a chip is carried.
        $page->sendKeys('u');
        $page->sendKeys(' ');
        $this->until(fn () => count($chips()) > $before);
        self::assertStringContainsString($short, $this->step($to, $short)->getText());
        self::assertContains(
            $technique['key'],
            array_column($this->get("units/$unit/plan")['unit']['edits'][$to] ?? [], 'technique'),
        );
        $chrome->press('Undo');
        $this->until(fn () => count($chips()) === $before);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array{string, string, array<string, mixed>} an area, the one below it, and what only the first has
     */
    private function carried(array $plan): array
    {
        $uses = [];
        foreach ($plan['plan']['areas'] as $a) {
            $uses[$a['area']] = array_column($a['techniques'], 'technique');
        }
        $areas = array_column($plan['figure'], 'key');
        foreach (array_slice($areas, 0, -1) as $i => $area) {
            $next = $areas[$i + 1];
            foreach ($plan['techniques'] as $t) {
                if (
                    in_array($t['key'], $uses[$area] ?? [], true) &&
                    ! in_array($t['key'], $uses[$next] ?? [], true) &&
                    ($t['areas'][$next] ?? null)
                ) {
                    return [$area, $next, $t];
                }
            }
        }
        self::fail('no technique fits the next area too');
    }

    public function test_a_step_is_changed_taken_out_left_out_for_good_and_practised(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open("/units/{$this->unit('26-041')}/plan");
        $chrome->waitFor('Meets the tier');
        $this->step('coat', 'Drybrush')->click();
        $chrome->waitFor('Why is this here?');
        $chrome->press('Take out');
        $chrome->waitFor('2 short');
        $chrome->press('Undo');
        $chrome->waitFor('Meets the tier');
        $this->step('hood', 'Sprayed')->click();
        $chrome->choose('Beside it', 'Tinted dark line between parts', '.why');
        $chrome->waitFor('Beyond:');
        $this->step('hood', 'Tinted line')->click();
        $chrome->press('It is practice');
        $chrome->waitFor('not counted as given away');
        $chrome->press('Leave it out on all models, and say why');
        $chrome->fill('Why it is left out', 'Nobody sees it.', '.why');
        $chrome->press('Leave out');
        $chrome->waitFor('Nobody sees it.');
        // It was put there by hand, so it stays until it is taken out; now the tier offers it less than ever.
        self::assertTrue($chrome->seen('leaves out tinted dark line between parts'));
    }

    public function test_models_that_differ_and_variants_reach_the_bench(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-041');
        $chrome->open("/units/$unit/plan?tab=models");
        $chrome->waitFor('Painted alike');
        $chrome->css('.cell.model')->click();
        $chrome->waitFor('What it does not have');
        $chrome->press('Hook');
        $chrome->press('It lacks 1 area');
        $chrome->waitFor('without hook');
        $chrome->press('Add a variant');
        $chrome->choose('In the slot', 'main cloth', '.variant');
        $chrome->choose('Base colour', 'Indigo Cloth', '.variant');
        $chrome->press('Deal them out');
        $chrome->waitFor('Variant 1');
        $this->until(fn () => count($this->get("units/$unit/plan")['kinds']) >= 3);
        $chrome->open("/units/$unit/plan");
        $chrome->press('Release to bench');
        $chrome->waitFor('To the bench');
        $chrome->signIn('Ines Tallow');
        $chrome->open("/bench/$unit");
        $chrome->waitFor('All done');
        for ($i = 0; $i < 60 && ! $chrome->seen('not this one'); $i++) {
            $chrome->css('body')->sendKeys('n');
            usleep(60_000);
        }
        self::assertTrue($chrome->seen('not this one'), 'a pass that only some models need says so on the others');
    }

    public function test_a_scheme_is_tried_kept_as_a_new_version_and_judged(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/schemes/tidemark');
        $chrome->waitFor('no test model yet');
        $paints = fn (int $column): array => $chrome->page->findElements(
            WebDriverBy::xpath("//tr[td[contains(., 'main cloth')]]/td[$column]//input"),
        );
        $chrome->choose($paints(4)[1], 'Bilge Green');
        $chrome->waitFor('is not lighter than Sluice Green');
        $chrome->page->navigate()->refresh();
        $chrome->waitFor('is not lighter than Sluice Green');
        $chrome->press('Leave as it was');
        $chrome->choose($paints(3)[0], 'Indigo Cloth');
        $chrome->press('Keep');
        $chrome->waitFor('v2');
        $chrome->press('Test model');
        $chrome->css('.ant-modal textarea')->sendKeys('Too dark under the club lamps.');
        $chrome->press('Rejected');
        $chrome->waitFor('v3');
        $chrome->waitFor('Too dark under the club lamps.');
        self::assertSame(
            [3, 'rejected'],
            [$this->get('schemes/tidemark')['number'], $this->get('schemes/tidemark')['versions'][1]['outcome']],
        );
    }

    public function test_a_scheme_is_copied_from_another_one(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/schemes');
        $chrome->press('New scheme');
        $chrome->fill('What it is called', 'Low tide', '.ant-modal');
        $chrome->choose('Starts from', 'the colours of Tidemark', '.ant-modal');
        $chrome->press('Make it');
        $this->until(fn () => str_ends_with((string) $chrome->page->getCurrentURL(), '/schemes/low-tide'));
        $copy = $this->get('schemes/low-tide');
        self::assertSame('Low tide', $copy['document']['name']);
        self::assertSame($this->get('schemes/tidemark')['document']['slots'], $copy['document']['slots']);
    }

    public function test_a_colour_is_mixed_in_parts_and_thinned_with_medium(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/schemes/tidemark');
        $chrome->waitFor('no test model yet');
        $base = $chrome->page->findElement(WebDriverBy::xpath("//tr[td[contains(., 'leather')]]/td[3]//input"));
        $chrome->choose($base, 'mix it …');
        $chrome->press('Another paint');
        $chrome->fill('Parts of Saddle Brown', '3', '.ant-popover');
        $chrome->fill('Parts of medium', '2', '.ant-popover');
        $chrome->press('Use this mix');
        $chrome->press('Keep');
        $chrome->waitFor('v2');
        $mix = $this->get('schemes/tidemark')['document']['slots']['leather']['base'];
        self::assertSame([3, 1], array_column($mix['parts'], 1));
        self::assertSame('Saddle Brown', $mix['parts'][0][0]);
        self::assertSame(2, $mix['medium']);
    }

    public function test_a_figure_is_made_from_a_schematic_and_an_area_is_outlined_split_and_kept(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/figures');
        $chrome->press('New figure');
        $chrome->fill('What it is called', 'Quay Runner', '.ant-modal');
        $chrome->press('Pouch');
        $chrome->press('Make the figure');
        $chrome->waitFor('15 areas');
        $chrome->press('+ another area');
        $chrome->waitFor('16 areas');
        $chrome->press('New outline');
        $canvas = $chrome->css('.map-canvas');
        foreach ([[-140, -200], [-60, -200], [-60, -120], [-140, -120]] as [$x, $y]) {
            (new WebDriverActions($chrome->page))->moveToElement($canvas, $x, $y)->click()->perform();
            usleep(80_000);
        }
        $chrome->press('Close it');
        $this->until(fn () => count($chrome->page->findElements(WebDriverBy::cssSelector('.map-point'))) === 4);
        $points = $chrome->page->findElements(WebDriverBy::cssSelector('.map-point'));
        $points[0]->click();
        (new WebDriverActions($chrome->page))
            ->keyDown(null, "\xEE\x80\x88")
            ->click($chrome->page->findElements(WebDriverBy::cssSelector('.map-point'))[2])
            ->keyUp(null, "\xEE\x80\x88")
            ->perform();
        $chrome->press('Split');
        $this->until(fn () => count($chrome->page->findElements(WebDriverBy::cssSelector('.map-point'))) === 6);
        $chrome->press('To the back');
        $chrome->press('Take them from the outlines');
        $chrome->waitFor('Shares make 100 %');
        $this->until(fn () => $chrome->text('Keep', 'button')->isEnabled());
        $chrome->press('Keep');
        $chrome->waitFor('Kept.');
        $map = $this->get('sculpts/quay-runner')['document'];
        $drawn = SculptFormat::read(Json::decode((string) json_encode($map)));
        self::assertEquals(
            array_filter((new OutlinedSurface($drawn))->shares()),
            array_filter(array_column($map['areas'], 'share_pct', 'key')),
            'the shares are those of the outlines as they were then, not of an earlier check',
        );
        $area = $map['areas'][15];
        self::assertSame([2, 2], [count($area['outline']['front']), count($area['outline']['back'])]);
        $x = fn (array $rings): array => array_map(fn (array $p) => $p[0], array_merge(...$rings));
        self::assertEqualsWithDelta(
            1 - min($x($area['outline']['front'])),
            max($x($area['outline']['back'])),
            1e-3,
            'the back is mirrored',
        );
    }

    public function test_a_unit_is_amended_on_some_models_and_its_method_chosen_for_one_area(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-040');
        $chrome->open("/units/$unit/plan");
        $chrome->waitFor('Meets the tier');
        $chrome->press('Amend');
        $chrome->choose('It', 'adds a technique', '.ant-modal');
        $chrome->choose('Technique', 'Tint', '.ant-modal');
        $chrome->fill('On how many models', '1', '.ant-modal');
        $this->within('.ant-modal form', './/button[normalize-space(.) = "Hood"]')->click();
        $chrome->fill('Why', 'One of them is older.', '.ant-modal');
        $this->within('.ant-modal form', './/button[normalize-space(.) = "Amend"]')->click();
        $chrome->waitFor('One of them is older.');
        $chrome->waitFor('on 1 models');
        self::assertSame(
            [1],
            array_values(
                array_unique(
                    array_map(
                        fn (array $k) => count($k['pieces']),
                        array_filter(
                            $this->get("units/$unit/plan")['kinds'],
                            fn (array $k) => in_array(2, $k['amendments'], true),
                        ),
                    ),
                ),
            ),
        );
        $chrome->press('Method');
        $chrome->waitFor('whether the order of work changes');
        $chrome->choose('For', 'Hood only', '.ant-modal');
        $chrome->press('out from the middle tone');
        $this->until(
            fn () => $this->get("units/$unit/plan")['method'] !== [] &&
                ($this->get("units/$unit/plan")['method']['build'][0]['value'] ?? null) === 'from_mid',
        );
        $chrome->choose('For', 'the whole model', '.ant-modal');
        $chrome->waitFor('Hood: out from the middle tone');
    }

    public function test_plans_are_compared_the_other_aim_is_taken_and_the_card_shows_what_is_noted(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-040');
        $chrome->open("/units/$unit/plan");
        $chrome->press('Compare');
        $chrome->waitFor('Altogether');
        $chrome->choose('This plan beside', 'Banner', '.ant-modal');
        $chrome->waitFor('Only in Banner');
        $chrome->open("/units/$unit/plan");
        $before = $this->get("units/$unit/aims");
        self::assertGreaterThan($before['quickest'], $before['best']);
        $chrome->press('best', true);
        $this->until(fn () => $this->get("units/$unit/plan")['aim'] === 'best');
        // Its models are worked in one order with the others, so a pass may be split that alone would not be.
        self::assertEqualsWithDelta(
            $before['best'],
            $this->get("units/$unit/plan")['plan']['totals']['by_passes'],
            6.0,
        );
        $chrome->press('Undo');
        $this->until(fn () => $this->get("units/$unit/plan")['aim'] === 'quickest');
        $this->step('coat', 'Sprayed')->click();
        $chrome->fill('Note for the bench', 'Two light mists.', '.why');
        $chrome->css('.plan-figure .chip')->click();
        $this->until(
            fn () => in_array('Two light mists.', (array) $this->get("units/$unit/plan")['arranged']['notes'], true),
        );
        $chrome->press('Bench card');
        $chrome->waitFor('Two light mists.');
        $chrome->waitFor('trained advice come first');
        self::assertSame(
            count($this->get("units/$unit/plan")['plan']['passes']),
            count($chrome->page->findElements(WebDriverBy::cssSelector('.bench-card tbody tr'))),
        );
    }

    public function test_finished_work_is_raised_from_its_plan(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-030');
        $chrome->open("/units/$unit/plan");
        $chrome->press('Raise to a higher tier');
        $chrome->waitFor('to add on each model');
        $chrome->press('as every model stands now');
        $chrome->waitFor('to add on each model');
        $chrome->press('Raise to Company');
        $chrome->waitFor('Raised: the bench shows what is added.');
        self::assertSame('company', $this->get("units/$unit/plan")['unit']['tier']['key']);
    }

    /** @return list<string> */
    private function order(): array
    {
        return self::$chrome->page->executeScript(
            'return [...document.querySelectorAll(".order li .what")].map(e => '.
                'e.firstChild.textContent + e.children[1].textContent)',
        );
    }

    private function step(string $area, string $name): WebDriverElement
    {
        $found = null;
        $this->until(function () use ($area, $name, &$found): bool {
            foreach (
                self::$chrome->page->findElements(WebDriverBy::cssSelector(".step[data-area='$area']")) as $chip
            ) {
                if (str_contains($chip->getText(), $name)) {
                    $found = $chip;
                }
            }

            return $found !== null;
        });
        assert($found instanceof WebDriverElement);

        return $found;
    }

    private function within(string $selector, string $path): WebDriverElement
    {
        return self::$chrome
            ->css($selector)
            ->findElement(WebDriverBy::xpath(str_starts_with($path, '.') ? $path : ".$path"));
    }
}
