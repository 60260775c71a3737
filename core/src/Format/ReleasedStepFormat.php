<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Bench\Release;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Standard\Technique;
use stdClass;

/** Steps as they stand in `ordotype/release@1`: as in a plan, with all that bench and repair want to know of them. */
final class ReleasedStepFormat
{
    /** @return list<stdClass> in the order of work */
    public static function writeAll(Release $release): array
    {
        $written = [];
        foreach ($release->plan->work->steps as $i => $step) {
            $plain = PlanFormat::step($step, $i + 1, $release->keys[$i]->id, $release->plan->work->held[$i]);
            $written[] = self::with($plain, $step);
        }

        return $written;
    }

    /** A step of a plan with what the plan's format does not say of it. */
    public static function with(stdClass $plain, Step $step): stdClass
    {
        return (object) ((array) $plain + [
            'phase' => $step->phase->value,
            'family' => $step->technique->family->value,
            'part' => $step->area?->part,
            'coats' => $step->coats,
            'coat_dry' => $step->technique->coatDry,
            'mess' => $step->technique->mess,
            'setup' => $step->technique->setup,
            'skill' => $step->technique->skill,
            'handling' => $step->handling,
            'sprays' => $step->sprays,
            'covers' => $step->covers,
        ]);
    }

    public static function read(Node $node, PlanRequest $request): Step
    {
        $technique = self::technique($node, $request);
        $area = $node->stringOrNull('area');
        if ($area !== null && ! $request->sculpt->has($area)) {
            $node->get('area')->problem("\"$area\" is not an area of the sculpt");
            $area = null;
        }
        $phase = Phase::tryFrom($node->int('phase', 0, 999));

        return new Step(
            $area === null ? null : $request->sculpt->area($area),
            $technique,
            (int) array_search($technique, $request->standard->techniques, true),
            $node->int('pass', 1, 999),
            $node->get('extent')->asExtent(),
            $node->number('minutes', 0),
            $node->number('handling', 0),
            ReasonFormat::readList($node, 'because'),
            $node->isNull('colour') ? null : self::colour($node->get('colour')),
            $node->strings('sprays'),
            $node->strings('covers'),
            $phase,
            $node->has('coats') ? $node->int('coats', 1, 99) : null,
        );
    }

    private static function technique(Node $node, PlanRequest $request): Technique
    {
        $key = $node->string('technique');
        if (! $request->standard->hasTechnique($key)) {
            $node->get('technique')->problem("\"$key\" is not a technique of the catalogue");

            return $request->standard->techniques[0];
        }

        return $request->standard->technique($key);
    }

    private static function colour(Node $node): StepColour
    {
        $hex = $node->stringOrNull('hex');

        return new StepColour(
            $node->string('paint'),
            $node->stringOrNull('mixed_with'),
            $hex === null ? null : Srgb::fromHex($hex),
            $node->has('mix') ? PotFormat::read($node->get('mix')) : null,
        );
    }
}
