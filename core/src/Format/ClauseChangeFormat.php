<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use BackedEnum;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\ClauseField;
use Ordotype\Core\Standard\Consent;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\TechniqueStatus;
use stdClass;

/**
 * The fields of a clause that an amendment sets, as they stand in its `values`. Which of them fit is for the clause to
 * say.
 */
final class ClauseChangeFormat
{
    /** @param  array<string, true>  $techniques  keys of the catalogue */
    public static function read(Node $node, array $techniques): ?ClauseChange
    {
        if (! ($node->value instanceof stdClass) || get_object_vars($node->value) === []) {
            $node->problem('must hold the fields to set');

            return null;
        }
        foreach (['id', 'kind', 'scope'] as $fixed) {
            if ($node->has($fixed)) {
                $node->get($fixed)->problem('cannot be set by an amendment');
            }
        }
        $node->keys([], ['id', 'kind', 'scope', ...array_map(fn (ClauseField $f) => $f->value, ClauseField::cases())]);
        foreach ($node->has('by') ? $node->list('by') : [] as $item) {
            ClauseFormat::known($item, $techniques);
        }
        if ($node->has('technique')) {
            ClauseFormat::known($node->get('technique'), $techniques);
        }

        return new ClauseChange(
            min: $node->has('min') ? $node->int('min', 0, 99) : null,
            max: $node->has('max') && ! $node->isNull('max') ? $node->number('max', 0, 100_000) : null,
            openMax: $node->isNull('max'),
            effects: $node->has('effect') ? ClauseFormat::effects($node) : null,
            extent: $node->has('extent') ? $node->get('extent')->asExtent() : null,
            passes: $node->has('passes') ? $node->int('passes', 1, 20) : null,
            by: $node->has('by') ? $node->strings('by') : null,
            technique: $node->has('technique') ? $node->string('technique') : null,
            family: $node->has('family') ? $node->enum('family', Family::class) : null,
            status: $node->has('status') ? $node->enum('status', TechniqueStatus::class) : null,
            price: $node->has('price') ? $node->money('price') : null,
            criterion: $node->has('criterion') ? $node->enum('criterion', Criterion::class) : null,
            limit: $node->has('limit') ? $node->number('limit', 0, 1000) : null,
            roles: $node->has('role') ? $node->enums('role', Role::class) : null,
            sampled: $node->has('inspect') ? ClauseFormat::sampled($node) : null,
            level: $node->has('level') ? ClauseFormat::level($node) : null,
            aql: $node->has('aql') ? ClauseFormat::aql($node) : null,
            limits: $node->has('limits') ? ClauseFormat::limits($node) : null,
            views: $node->has('views') ? $node->enums('views', View::class) : null,
            gates: $node->has('gates') ? $node->enums('gates', Gate::class) : null,
            consent: $node->has('consent') ? $node->enum('consent', Consent::class) : null,
            photographs: $node->has('photographs') ? $node->enum('photographs', PhotographsWanted::class) : null,
            sizes: $node->has('size') ? $node->enums('size', Size::class) : null,
            label: $node->has('label') ? $node->string('label') : null,
            clientText: $node->has('client_text') ? $node->string('client_text') : null,
            place: ClauseFormat::place($node),
            minutes: $node->has('minutes') ? $node->number('minutes', 0, 480) : null,
            severity: $node->has('severity') ? $node->enum('severity', Severity::class) : null,
        );
    }

    public static function write(ClauseChange $c): stdClass
    {
        $effects = $c->effects === null ? null : array_map(fn (Effect $e) => $e->value, $c->effects);
        $values = array_filter(
            [
                'min' => $c->min,
                'max' => $c->max,
                'effect' => $effects !== null && count($effects) === 1 ? $effects[0] : $effects,
                'extent' => $c->extent?->word(),
                'passes' => $c->passes,
                'by' => $c->by,
                'technique' => $c->technique,
                'family' => $c->family?->value,
                'status' => $c->status?->value,
                'price' => $c->price,
                'criterion' => $c->criterion?->value,
                'limit' => $c->limit,
                'role' => self::words($c->roles),
                'inspect' => $c->sampled === null ? null : ($c->sampled ? 'sample' : 'all'),
                'level' => $c->level,
                'aql' => $c->aql === null ? null : (object) $c->aql,
                'limits' => $c->limits === null ? null : (object) $c->limits,
                'views' => self::words($c->views),
                'gates' => self::words($c->gates),
                'consent' => $c->consent?->value,
                'photographs' => $c->photographs?->value,
                'size' => self::words($c->sizes),
                'label' => $c->label,
                'client_text' => $c->clientText,
                'place' => $c->place?->value,
                'minutes' => $c->minutes,
                'severity' => $c->severity?->value,
            ],
            fn (mixed $v) => $v !== null,
        );

        return (object) ($c->openMax ? ['max' => null] + $values : $values);
    }

    /**
     * @param  list<BackedEnum>|null  $list
     * @return list<int|string>|null
     */
    private static function words(?array $list): ?array
    {
        return $list === null ? null : array_map(fn (BackedEnum $e) => $e->value, $list);
    }
}
