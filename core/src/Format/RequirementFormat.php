<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\RequirementKind;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Severity;
use stdClass;

/** Requirements as they stand in plans. */
final class RequirementFormat
{
    /** @return stdClass all but how a plan stands to it */
    public static function write(Requirement $r): stdClass
    {
        return (object) [
            'area' => $r->area,
            'kind' => $r->kind()->value,
            'subject' => $r->subject(),
            ...$r->accept(new RequirementFields()),
            'clauses' => Reason::ids($r->reasons),
            'severity' => $r->severity?->value,
        ];
    }

    public static function read(Node $node): Requirement
    {
        $area = $node->stringOrNull('area');
        $why = ReasonFormat::readList($node, 'clauses');
        $severity = $node->isNull('severity') ? null : $node->enum('severity', Severity::class);
        $kind = $node->enum('kind', RequirementKind::class);
        $subject = $node->string('subject');
        $limits = $node->isNull('limit') ? null : $node->get('limit');
        $min = $limits === null || $limits->isNull('min') ? null : $limits->number('min');
        $max = $limits === null || $limits->isNull('max') ? null : $limits->number('max');

        return match ($kind) {
            RequirementKind::Steps => new StepsRequirement(
                $area,
                $why,
                $severity,
                (int) $min,
                $max === null ? null : (int) $max,
            ),
            RequirementKind::Effect => new EffectRequirement(
                $area,
                $why,
                $severity,
                array_map(fn (string $e) => Effect::tryFrom($e) ?? self::unknown($node), explode('|', $subject)),
                $node->get('extent')->asExtent(),
                $node->int('passes', 1, 99),
                $node->isNull('by') ? null : $node->strings('by'),
            ),
            RequirementKind::Technique => new TechniqueRequirement(
                $area,
                $why,
                $severity,
                $subject,
                $node->get('extent')->asExtent(),
                $node->int('passes', 1, 99),
            ),
            RequirementKind::Finish => new FinishRequirement(
                (string) $area,
                $why,
                $severity,
                $node->get('subject')->asEnum(Criterion::class),
                (float) ($min ?? $max),
            ),
            RequirementKind::SprayedColours => new ModelRequirement(
                ModelFigure::SprayedColours,
                $why,
                $severity,
                $min,
                $max,
            ),
            RequirementKind::Minutes => new ModelRequirement(ModelFigure::Minutes, $why, $severity, $min, $max),
            RequirementKind::Skill => new ModelRequirement(ModelFigure::Skill, $why, $severity, $min, $max),
        };
    }

    private static function unknown(Node $node): Effect
    {
        $node->get('subject')->problem('names an effect that is not known');

        return Effect::Underlay;
    }
}
