<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\ModelRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
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
        $isChosen = $r instanceof EffectRequirement || $r instanceof TechniqueRequirement;

        return (object) [
            'area' => $r->area,
            'kind' => $r->kind()->value,
            'subject' => $r->subject(),
            'extent' => $isChosen ? $r->extent->word() : null,
            'passes' => $isChosen ? $r->passes : null,
            'by' => $r instanceof EffectRequirement ? $r->by : null,
            'limit' => self::limit($r),
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
            default => new ModelRequirement($kind, $why, $severity, $min, $max),
        };
    }

    private static function unknown(Node $node): Effect
    {
        $node->get('subject')->problem('names an effect that is not known');

        return Effect::Underlay;
    }

    private static function limit(Requirement $r): ?stdClass
    {
        [$min, $max] = match (true) {
            $r instanceof StepsRequirement, $r instanceof ModelRequirement => [$r->min, $r->max],
            $r instanceof FinishRequirement => $r->criterion->isFloor() ? [$r->limit, null] : [null, $r->limit],
            default => [null, null],
        };
        $decimal = fn (int|float|null $n): ?float => $n === null ? null : (float) $n;

        return $min === null && $max === null ? null : (object) ['min' => $decimal($min), 'max' => $decimal($max)];
    }
}
