<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Bench\MadeAmendment;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\ReleaseInputs;
use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Plan\Arrangement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Slip;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Sequencing\StepPlace;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Planning\Unit\Variant;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Amendment;

/** Reads `ordotype/release@1` back into the types it was written from, working nothing out anew. */
final class ReleaseReader
{
    private readonly Problems $problems;

    private readonly Node $root;

    private function __construct(mixed $document)
    {
        $this->problems = new Problems();
        $this->root = Node::root($document, $this->problems)->format(ReleaseFormat::WORD);
    }

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): Release
    {
        $reader = new self($document);
        $release = $reader->release();
        $reader->problems->refuse();

        return $release;
    }

    private function release(): Release
    {
        $request = $this->request();
        $keys = $steps = $held = [];
        foreach ($this->root->list('steps') as $node) {
            $keys[] = StepKey::kept($node->string('key'));
            $steps[] = ReleasedStepFormat::read($node, $request);
            $held[] = $node->enums('order_because', Rule::class);
        }
        $this->problems->refuse();
        $byKey = array_combine(array_map(fn (StepKey $k) => $k->id, $keys), $steps);
        $kinds = $needs = [];
        foreach ($this->root->list('kinds') as $node) {
            $kind = $this->kind($node, $request, $byKey);
            $kinds[] = $kind;
            $own = array_map(StepKey::kept(...), $node->strings('steps'));
            foreach (count($own) === count($keys) ? [] : $kind->pieces as $piece) {
                $needs[$piece] = $own;
            }
        }
        if ($kinds === []) {
            throw FormatException::at('/kinds', 'holds no kind of piece');
        }
        $work = new OrderedWork(
            $steps,
            $held,
            self::passes($this->root, $request),
            [],
            $this->root->number('idle_minutes', 0),
            $this->root->number('critical_path', 0),
        );

        return new Release(
            $this->root->int('number', 1),
            $request,
            $this->inputs(),
            new UnitPlan($kinds, $work),
            $keys,
            $needs,
            $this->edges(count($steps)),
            FaultFormat::read($this->root->get('faults')->value),
            $this->root->bool('reconstructed'),
        );
    }

    private function request(): PlanRequest
    {
        $standard = StandardFormat::read($this->root->get('standard')->value);
        $scheme = $this->root->isNull('scheme')
            ? null
            : SchemeFormat::read($this->root->get('scheme')->get('document')->value);
        $hand = $this->root->get('by_hand');
        $arrangement = new Arrangement(
            array_map(self::overrule(...), $this->root->list('overrules')),
            array_map(StepKey::kept(...), $hand->strings('sequence')),
            array_map(fn (Node $n) => $n->asString(), $hand->map('paints')),
            $hand->stringOrNull('practice'),
        );

        return new PlanRequest(
            $standard,
            $standard->tiers[0],
            SculptFormat::read($this->root->get('sculpt')->value),
            $scheme,
            MethodFormat::read($this->root->get('method')->value),
            [],
            new Shelf(array_map(self::paint(...), $this->root->list('paints'))),
            $this->root->int('pieces', 1),
            $arrangement,
        );
    }

    private function inputs(): ReleaseInputs
    {
        $version = $this->root->get('standard_version');
        $known = [];
        foreach ($this->root->get('standard')->list('techniques') as $node) {
            $known[$node->string('key')] = true;
        }
        $amendments = array_map(
            fn (Node $n) => new MadeAmendment(
                self::amendment($n, $known),
                $n->stringOrNull('by'),
                $n->stringOrNull('at'),
                $n->intOrNull('piece', 1, PHP_INT_MAX),
            ),
            $this->root->list('amendments'),
        );

        return new ReleaseInputs(
            $version->int('number', 1),
            $version->string('sha256'),
            $this->root->isNull('scheme') ? null : $this->root->get('scheme')->intOrNull('version', 1, PHP_INT_MAX),
            $amendments,
            $this->root->string('inputs_sha256'),
        );
    }

    /** @param  array<string, true>  $known  keys of techniques */
    private static function amendment(Node $node, array $known): Amendment
    {
        return AmendmentFormat::read([$node->get('amendment')->value], $known)[0]->numbered($node->int('no', 1));
    }

    /** @param  array<string, Step>  $steps  of the unit's work, by key */
    private function kind(Node $node, PlanRequest $request, array $steps): PieceKind
    {
        $lacks = $node->strings('lacks');
        $scheme = $node->isNull('scheme') ? $request->scheme : SchemeFormat::read($node->get('scheme')->value);
        $own = $request->of($lacks === [] ? $request->sculpt : $request->sculpt->without($lacks), $scheme);
        $pieces = array_map(fn (Node $n) => (int) $n->asNumber(1, PHP_INT_MAX), $node->list('pieces'));
        if ($pieces === []) {
            throw FormatException::at("$node->path/pieces", 'names no piece');
        }
        $mine = [];
        foreach ($node->strings('steps') as $key) {
            if (isset($steps[$key])) {
                $mine[] = $steps[$key];
            } else {
                $node->get('steps')->problem("\"$key\" is not a step of the release");
            }
        }
        $name = $node->stringOrNull('variant');

        return new PieceKind(
            $pieces,
            $this->plan($node->get('plan'), $own, $mine),
            $name === null ? null : new Variant($name, 0.0),
            $lacks,
            array_map(fn (Node $n) => (int) $n->asNumber(1, PHP_INT_MAX), $node->list('amendments')),
            $node->bool('edited'),
        );
    }

    /** @param  list<Step>  $steps */
    private function plan(Node $node, PlanRequest $request, array $steps): Plan
    {
        $states = array_map(self::state(...), $node->list('requirements'));
        $byArea = [];
        foreach ($states as $state) {
            $byArea[(string) $state->requirement->area][] = $state->requirement;
        }
        $areas = [];
        foreach ($node->list('areas') as $planned) {
            $key = $planned->string('area');
            if ($request->sculpt->has($key)) {
                $area = $request->sculpt->area($key);
                $choice = $planned->isNull('minutes')
                    ? null
                    : new Choice($this->chosen($planned->list('techniques'), $request));
                $demand = new AreaDemand($area, $byArea[$key] ?? [], [], []);
                $areas[$key] = new PlannedArea(
                    $demand,
                    $choice,
                    $planned->int('grade_bar', 1, 5),
                    (int) $planned->bool('relaxed'),
                    null,
                );
            }
        }
        $ordered = array_map(
            fn (Area $a) => $areas[$a->key] ?? new PlannedArea(new AreaDemand($a, [], [], []), null, 1, 0, null),
            $request->sculpt->areas,
        );
        $whole = new PlannedArea(
            new AreaDemand(null, $byArea[''] ?? [], [], []),
            new Choice($this->chosen($node->list('whole'), $request)),
            1,
            0,
            null,
        );
        $totals = $node->get('totals');
        $held = array_fill(0, count($steps), []);
        $passes = self::passes($node, $request);
        $work = new OrderedWork(
            $steps,
            $held,
            $passes,
            [],
            $totals->number('waiting', 0),
            $totals->number('drying_chain', 0),
        );

        return new Plan($request, $ordered, $whole, [], $work, $states, [], []);
    }

    /**
     * @param  list<Node>  $nodes
     * @return list<ChosenTechnique>
     */
    private function chosen(array $nodes, PlanRequest $request): array
    {
        $chosen = [];
        foreach ($nodes as $node) {
            $key = $node->string('technique');
            if (! $request->standard->hasTechnique($key)) {
                $node->get('technique')->problem("\"$key\" is not a technique of the catalogue");

                continue;
            }
            $technique = $request->standard->technique($key);
            $passes = max(1, $node->int('passes', 1, 999));
            $index = (int) array_search($technique, $request->standard->techniques, true);
            // A release says what all passes take together; what each takes stands with its steps.
            $minutes = array_fill(0, $passes, $node->number('minutes', 0) / $passes);
            $chosen[] = new ChosenTechnique($technique, $index, $node->get('extent')->asExtent(), $minutes);
        }

        return $chosen;
    }

    private static function state(Node $node): RequirementState
    {
        $state = $node->isNull('state') ? null : $node->enum('state', Standing::class);

        return new RequirementState(RequirementFormat::read($node), $state, $node->number('off_by', 0));
    }

    /** @return list<Pass> */
    private static function passes(Node $node, PlanRequest $request): array
    {
        $passes = [];
        foreach ($node->list('passes') as $pass) {
            $steps = array_map(fn (Node $n) => (int) $n->asNumber(1, PHP_INT_MAX) - 1, $pass->list('steps'));
            if ($steps === []) {
                $pass->problem('holds no steps');
            } else {
                $slips = $pass->has('slips') ? $pass->list('slips') : [];
                $passes[] = new Pass(
                    $steps,
                    $pass->number('minutes', 0),
                    $pass->number('dry', 0),
                    array_map(fn (Node $n) => self::slip($n, $request), $slips),
                );
            }
        }

        return $passes;
    }

    private static function slip(Node $node, PlanRequest $request): Slip
    {
        $key = $node->string('area');
        if (! $request->sculpt->has($key)) {
            $node->get('area')->problem("\"$key\" is not an area of {$request->sculpt->name}");
        }
        $paint = $node->stringOrNull('paint');

        return new Slip(
            $request->sculpt->has($key) ? $request->sculpt->area($key) : $request->sculpt->areas[0],
            $paint === null ? null : new StepColour($paint, null, $request->shelf->colourOf($paint)),
            $node->number('minutes', 0),
        );
    }

    private function edges(int $steps): PrecedenceGraph
    {
        $graph = new PrecedenceGraph($steps);
        foreach ($this->root->list('edges') as $node) {
            foreach ($node->enums('rules', Rule::class) as $rule) {
                $graph->put($node->int('earlier', 1, $steps) - 1, $node->int('later', 1, $steps) - 1, $rule);
            }
        }

        return $graph;
    }

    private static function overrule(Node $node): Overrule
    {
        $rule = $node->enum('rule', Rule::class);

        return new Overrule(
            $rule,
            StepPlace::kept($node->string('earlier')),
            StepPlace::kept($node->string('later')),
            $node->string('reason'),
        );
    }

    private static function paint(Node $node): Paint
    {
        return new Paint(
            $node->string('name'),
            $node->string('kind'),
            Srgb::fromHex($node->string('hex')),
            $node->enum('hiding', Hiding::class),
            0.0,
        );
    }
}
