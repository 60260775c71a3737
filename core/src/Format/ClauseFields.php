<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\ClauseKind;
use Ordotype\Core\Standard\ClauseVisitor;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;

/**
 * The fields of each kind of clause as they are written, in their order.
 *
 * @implements ClauseVisitor<array<string, mixed>>
 */
final readonly class ClauseFields implements ClauseVisitor
{
    public function steps(StepsClause $clause): array
    {
        return ['kind' => ClauseKind::Steps->value, 'min' => $clause->min, 'max' => $clause->max];
    }

    public function sprayedColours(SprayedColoursClause $clause): array
    {
        return ['kind' => ClauseKind::SprayedColours->value, 'min' => $clause->min, 'max' => $clause->max];
    }

    public function effect(EffectClause $clause): array
    {
        return [
            'kind' => ClauseKind::Effect->value,
            'effect' => count($clause->effects) === 1
                    ? $clause->effects[0]->value
                    : array_map(fn (Effect $e) => $e->value, $clause->effects),
            ...self::stated([
                'extent' => $clause->extent?->word(),
                'passes' => $clause->passes,
                'by' => $clause->by,
                'place' => $clause->place?->value,
            ]),
        ];
    }

    public function technique(TechniqueClause $clause): array
    {
        return [
            'kind' => ClauseKind::Technique->value,
            ...self::stated(['technique' => $clause->technique, 'family' => $clause->family?->value]),
            'status' => $clause->status->value,
            ...self::stated([
                'extent' => $clause->extent?->word(),
                'passes' => $clause->passes,
                'price' => $clause->price,
                'place' => $clause->place?->value,
                'minutes' => $clause->minutes,
            ]),
        ];
    }

    public function finish(FinishClause $clause): array
    {
        return [
            'kind' => ClauseKind::Finish->value,
            'criterion' => $clause->criterion->value,
            'limit' => $clause->limit,
        ];
    }

    public function acceptance(AcceptanceClause $clause): array
    {
        return [
            'kind' => ClauseKind::Acceptance->value,
            'role' => array_map(fn (Role $r) => $r->value, $clause->role),
            'inspect' => $clause->sampled ? 'sample' : 'all',
            ...self::stated([
                'level' => $clause->level,
                'aql' => $clause->aql === null ? null : (object) $clause->aql,
            ]),
            'limits' => (object) $clause->limits,
            'views' => array_map(fn (View $v) => $v->value, $clause->views),
            'gates' => array_map(fn (Gate $g) => $g->value, $clause->gates),
            'consent' => $clause->consent->value,
            ...self::stated([
                'photographs' => $clause->photographs === PhotographsWanted::WhereThereAre
                    ? null
                    : $clause->photographs->value,
            ]),
        ];
    }

    public function minutes(MinutesClause $clause): array
    {
        return [
            'kind' => ClauseKind::Minutes->value,
            'size' => array_map(fn (Size $s) => $s->value, $clause->size),
            'max' => $clause->max,
        ];
    }

    public function skill(SkillClause $clause): array
    {
        return ['kind' => ClauseKind::Skill->value, 'min' => $clause->min];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed> without those that a file leaves out
     */
    public static function stated(array $fields): array
    {
        return array_filter($fields, fn (mixed $v) => $v !== null);
    }
}
