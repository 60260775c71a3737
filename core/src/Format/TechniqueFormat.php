<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueNotes;
use stdClass;

/** Techniques as they stand in `ordotype/standard@1`. */
final class TechniqueFormat
{
    private const REQUIRED = [
        'key',
        'name',
        'family',
        'effects',
        'credit',
        'whole',
        'suits',
        'grade',
        'coats',
        'max_passes',
        'handling',
        'hand',
        'per_piece',
        'setup',
        'dry',
        'coat_dry',
        'skill',
        'mess',
        'big',
        'tidied',
        'only_on',
        'never_on',
        'excludes',
        'needs',
        'notes',
    ];

    /** The most minutes any figure of a technique may name: two weeks. */
    private const MINUTES = 20_160;

    public static function read(Node $node): Technique
    {
        $node->keys(self::REQUIRED, ['retired', 'mark_mm', 'taper']);
        $effects = self::effects($node);
        $suits = self::suits($node);
        $whole = $node->bool('whole');
        if ($whole !== ($suits === [])) {
            $node
                ->get('suits')
                ->problem(
                    $whole
                        ? 'must be empty: the technique is done on the whole model'
                        : 'must name at least one relief, or the technique fits nowhere',
                );
        }

        return new Technique(
            key: $node->key('key'),
            name: $node->string('name'),
            family: $node->enum('family', Family::class),
            effects: $effects,
            credit: $node->int('credit', 0, 20),
            whole: $whole,
            suits: $suits,
            grade: $node->intOrNull('grade', 1, 5),
            coats: $node->int('coats', 1, 20),
            maxPasses: $node->int('max_passes', 1, 20),
            handling: $node->number('handling', 0, self::MINUTES),
            hand: $node->number('hand', 0, self::MINUTES),
            perPiece: $node->number('per_piece', 0, self::MINUTES),
            setup: $node->number('setup', 0, self::MINUTES),
            dry: $node->number('dry', 0, self::MINUTES),
            coatDry: $node->number('coat_dry', 0, self::MINUTES),
            skill: $node->int('skill', 1, 5),
            mess: $node->int('mess', 0, 3),
            big: $node->bool('big'),
            tidied: $node->bool('tidied'),
            onlyOn: $node->enums('only_on', Material::class),
            neverOn: $node->enums('never_on', Material::class),
            excludes: $node->strings('excludes'),
            needs: $node->enums('needs', Effect::class),
            notes: self::notes($node->get('notes')),
            retired: $node->has('retired') ? $node->bool('retired') : null,
            markMm: $node->has('mark_mm') ? $node->number('mark_mm', 0.001, 100) : null,
            taper: $node->has('taper') ? $node->bool('taper') : null,
        );
    }

    /** @return array<string, \Ordotype\Core\Standard\Extent> */
    private static function effects(Node $node): array
    {
        $effects = [];
        foreach ($node->map('effects') as $word => $extent) {
            if (Effect::tryFrom($word) === null) {
                $extent->problem(
                    "\"$word\" is not an effect; the effects are ".
                        implode(', ', array_map(fn (Effect $e) => $e->value, Effect::cases())),
                );
            }
            $effects[$word] = $extent->asExtent();
        }
        if ($effects === []) {
            $node->get('effects')->problem('must name at least one effect');
        }

        return $effects;
    }

    /** @return array<string, int> */
    private static function suits(Node $node): array
    {
        $suits = [];
        foreach ($node->map('suits') as $word => $suit) {
            if (Relief::tryFrom($word) === null) {
                $suit->problem(
                    "\"$word\" is not a relief; the reliefs are ".
                        implode(', ', array_map(fn (Relief $r) => $r->value, Relief::cases())),
                );
            }
            $suits[$word] = (int) $suit->asNumber(1, 3);
            if (! in_array($suit->value, [1, 2, 3], false)) {
                $suit->problem('must be 1, 2 or 3');
            }
        }

        return $suits;
    }

    public static function write(Technique $technique): stdClass
    {
        $notes = $technique->notes;

        return (object) ([
            'key' => $technique->key,
            'name' => $technique->name,
            'family' => $technique->family->value,
            'effects' => (object) array_map(fn (Extent $e) => $e->word(), $technique->effects),
            'credit' => $technique->credit,
            'whole' => $technique->whole,
            'suits' => (object) $technique->suits,
            'grade' => $technique->grade,
            'coats' => $technique->coats,
            'max_passes' => $technique->maxPasses,
            'handling' => $technique->handling,
            'hand' => $technique->hand,
            'per_piece' => $technique->perPiece,
            'setup' => $technique->setup,
            'dry' => $technique->dry,
            'coat_dry' => $technique->coatDry,
            'skill' => $technique->skill,
            'mess' => $technique->mess,
            'big' => $technique->big,
            'tidied' => $technique->tidied,
            'only_on' => array_map(fn (Material $m) => $m->value, $technique->onlyOn),
            'never_on' => array_map(fn (Material $m) => $m->value, $technique->neverOn),
            'excludes' => $technique->excludes,
            'needs' => array_map(fn (Effect $e) => $e->value, $technique->needs),
            'notes' => (object) [
                'purpose' => $notes->purpose,
                'how' => $notes->how,
                'consistency' => $notes->consistency,
                'tools' => $notes->tools,
                'good' => $notes->good,
                'faults' => $notes->faults,
                'caution' => $notes->caution,
            ],
        ] +
            array_filter(
                ['retired' => $technique->retired, 'mark_mm' => $technique->markMm, 'taper' => $technique->taper],
                fn (mixed $v) => $v !== null,
            ));
    }

    private static function notes(Node $node): TechniqueNotes
    {
        $node->keys(['purpose', 'how', 'consistency', 'tools', 'good', 'faults', 'caution']);

        return new TechniqueNotes(
            $node->string('purpose', mayBeEmpty: true),
            $node->string('how', mayBeEmpty: true),
            $node->string('consistency', mayBeEmpty: true),
            $node->string('tools', mayBeEmpty: true),
            $node->string('good', mayBeEmpty: true),
            $node->strings('faults'),
            $node->stringOrNull('caution'),
        );
    }
}
