<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseKind;
use Ordotype\Core\Standard\Consent;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\Place;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\WellKnown;
use stdClass;

/**
 * Clauses as they stand in `ordotype/standard@1`.
 *
 * @phpstan-type Common array{
 *     scope: \Ordotype\Core\Standard\Scope|null, label: string|null, clientText: string|null, severity: Severity|null
 * }
 */
final class ClauseFormat
{
    /**
     * @param  array<string, true>  $techniques  keys of the catalogue, to hold references against
     * @param  string|null  $id  the id to take where the clause need not state one
     */
    public static function read(Node $node, array $techniques, ?string $id = null): ?Clause
    {
        if (! ($node->value instanceof stdClass)) {
            $node->keys([]);

            return null;
        }
        $word = $node->string('kind');
        $kind = ClauseKind::tryFrom($word);
        if ($kind === null) {
            $kinds = implode(', ', array_map(fn (ClauseKind $k) => $k->value, ClauseKind::cases()));
            $node->get('kind')->problem("\"$word\" is not a kind of clause; the kinds are $kinds");

            return null;
        }
        [$required, $optional] = self::keys($kind);
        $stated = $id === null ? ['id', 'kind'] : ['kind'];
        $node->keys(
            [...$stated, ...$required],
            [...$optional, ...$id === null ? [] : ['id'], 'scope', 'label', 'client_text', 'severity'],
        );
        $id = $node->has('id') || $id === null ? $node->string('id') : $id;
        $common = [
            'scope' => $node->has('scope') ? ScopeFormat::read($node->get('scope')) : null,
            'label' => $node->has('label') ? $node->string('label') : null,
            'clientText' => $node->has('client_text') ? $node->string('client_text') : null,
            'severity' => $node->has('severity') ? $node->enum('severity', Severity::class) : null,
        ];

        return match ($kind) {
            ClauseKind::Steps => new StepsClause(
                $id,
                $node->int('min', 0, 99),
                $node->intOrNull('max', 0, 99),
                ...$common,
            ),
            ClauseKind::SprayedColours => new SprayedColoursClause(
                $id,
                $node->int('min', 0, 99),
                $node->int('max', 0, 99),
                ...$common,
            ),
            ClauseKind::Effect => self::effect($node, $techniques, $id, $common),
            ClauseKind::Technique => self::technique($node, $techniques, $id, $common),
            ClauseKind::Finish => new FinishClause(
                $id,
                $node->enum('criterion', Criterion::class),
                $node->number('limit', 0, 1000),
                ...$common,
            ),
            ClauseKind::Acceptance => self::acceptance($node, $id, $common),
            ClauseKind::Minutes => new MinutesClause(
                $id,
                $node->enums('size', Size::class),
                $node->number('max', 0, 100_000),
                ...$common,
            ),
            ClauseKind::Skill => new SkillClause($id, $node->int('min', 1, 5), ...$common),
        };
    }

    /** @return array{list<string>, list<string>} the keys it must have and those it may have, beside what all have */
    private static function keys(ClauseKind $kind): array
    {
        return match ($kind) {
            ClauseKind::Steps, ClauseKind::SprayedColours => [['min', 'max'], []],
            ClauseKind::Effect => [['effect'], ['extent', 'passes', 'by', 'place']],
            ClauseKind::Technique => [
                ['status'],
                ['technique', 'family', 'price', 'passes', 'extent', 'place', 'minutes'],
            ],
            ClauseKind::Finish => [['criterion', 'limit'], []],
            ClauseKind::Acceptance => [
                ['role', 'inspect', 'limits', 'views', 'gates', 'consent'],
                ['level', 'aql', 'photographs'],
            ],
            ClauseKind::Minutes => [['size', 'max'], []],
            ClauseKind::Skill => [['min'], []],
        };
    }

    public static function write(Clause $clause): stdClass
    {
        return (object) [
            'id' => $clause->id,
            ...$clause->accept(new ClauseFields()),
            ...ClauseFields::stated([
                'scope' => $clause->scope === null ? null : ScopeFormat::write($clause->scope),
                'label' => $clause->label,
                'client_text' => $clause->clientText,
                'severity' => $clause->severity?->value,
            ]),
        ];
    }

    /**
     * @param  array<string, true>  $techniques
     * @param  Common  $common
     */
    private static function effect(Node $node, array $techniques, string $id, array $common): EffectClause
    {
        $effects = self::effects($node);
        $by = null;
        if ($node->has('by')) {
            $by = $node->strings('by');
            foreach ($node->list('by') as $item) {
                self::known($item, $techniques);
            }
            if ($by === []) {
                $node->get('by')->problem('must name at least one technique, or be left out');
            }
        }

        return new EffectClause(
            $id,
            $effects,
            $node->has('extent') ? $node->get('extent')->asExtent() : null,
            $node->has('passes') ? $node->int('passes', 1, 20) : null,
            $by,
            ...$common,
            place: self::place($node),
        );
    }

    /**
     * @param  array<string, true>  $techniques
     * @param  Common  $common
     */
    private static function technique(Node $node, array $techniques, string $id, array $common): TechniqueClause
    {
        if ($node->has('technique') === $node->has('family')) {
            $node->problem('must name either a "technique" or a "family"');
        }
        if ($node->has('technique')) {
            self::known($node->get('technique'), $techniques);
        }
        $looks = $node->has('technique') && $node->string('technique') === WellKnown::FINAL_LOOK;
        if ($node->has('minutes') && ! $looks) {
            $node->get('minutes')->problem('can be said of the final look alone');
        }

        return new TechniqueClause(
            $id,
            $node->has('technique') ? $node->string('technique') : null,
            $node->has('family') ? $node->enum('family', Family::class) : null,
            $node->enum('status', TechniqueStatus::class),
            $node->has('extent') ? $node->get('extent')->asExtent() : null,
            $node->has('passes') ? $node->int('passes', 1, 20) : null,
            $node->has('price') ? $node->money('price') : null,
            ...$common,
            place: self::place($node),
            minutes: $node->has('minutes') ? $node->number('minutes', 0, 480) : null,
        );
    }

    public static function place(Node $node): ?Place
    {
        return $node->has('place') ? $node->enum('place', Place::class) : null;
    }

    /** @param  Common  $common */
    private static function acceptance(Node $node, string $id, array $common): AcceptanceClause
    {
        $sampled = self::sampled($node);
        if ($sampled && ! ($node->has('level') && $node->has('aql'))) {
            $node->problem('must state "level" and "aql" where a sample is inspected');
        }

        return new AcceptanceClause(
            $id,
            $node->enums('role', Role::class),
            $sampled,
            $node->has('level') ? self::level($node) : null,
            $node->has('aql') ? self::aql($node) : null,
            self::limits($node),
            $node->enums('views', View::class),
            $node->enums('gates', Gate::class),
            $node->enum('consent', Consent::class),
            ...$common,
            photographs: $node->has('photographs')
                ? $node->enum('photographs', PhotographsWanted::class)
                : PhotographsWanted::WhereThereAre,
        );
    }

    /** @return non-empty-list<Effect> */
    public static function effects(Node $node): array
    {
        $effect = $node->get('effect');
        if (! is_array($effect->value)) {
            return [$node->enum('effect', Effect::class)];
        }
        $effects = $node->enums('effect', Effect::class);
        if (count($effects) < 2) {
            $effect->problem('a list of effects holds two or more; a single one stands without the list');
        }

        return $effects === [] ? [Effect::Underlay] : $effects;
    }

    public static function sampled(Node $node): bool
    {
        $inspect = $node->string('inspect');
        if (! in_array($inspect, ['all', 'sample'], true)) {
            $node->get('inspect')->problem("must be all or sample, not \"$inspect\"");
        }

        return $inspect === 'sample';
    }

    public static function level(Node $node): string
    {
        $level = $node->string('level');
        if (! in_array($level, ['I', 'II', 'III'], true)) {
            $node->get('level')->problem("must be I, II or III, not \"$level\"");
        }

        return $level;
    }

    /** @return array{major: float, minor: float} */
    public static function aql(Node $node): array
    {
        $quality = $node->get('aql')->keys(['major', 'minor']);

        return ['major' => $quality->number('major', 0.01, 1000), 'minor' => $quality->number('minor', 0.01, 1000)];
    }

    /** @return array{critical: int, major: int, minor: int} */
    public static function limits(Node $node): array
    {
        $most = $node->get('limits')->keys(['critical', 'major', 'minor']);

        return [
            'critical' => $most->int('critical', 0, 0),
            'major' => $most->int('major', 0, 999),
            'minor' => $most->int('minor', 0, 999),
        ];
    }

    /** @param  array<string, true>  $techniques */
    public static function known(Node $node, array $techniques): void
    {
        if (is_string($node->value) && ! isset($techniques[$node->value])) {
            $node->problem("\"$node->value\" is not a technique of this standard's catalogue");
        }
    }
}
