<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;
use stdClass;

/** Reads and writes the fault table, `ordotype/faults@1`. */
final class FaultFormat
{
    public const WORD = 'ordotype/faults@1';

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): FaultTable
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format', 'faults']);
        $kinds = [];
        foreach ($root->list('faults') as $node) {
            $node->keys([
                'key',
                'name',
                'severity',
                'hero_severity',
                'by_size',
                'where',
                'first',
                'redo',
                'materials',
                'effects',
                'looks',
                'cause',
                'how_to_see',
            ]);
            $key = $node->key('key');
            $kinds[$key] = new FaultKind(
                $key,
                $node->string('name'),
                $node->enum('severity', Severity::class),
                $node->isNull('hero_severity') ? null : $node->enum('hero_severity', Severity::class),
                $node->bool('by_size'),
                $node->string('where'),
                $node->strings('first'),
                $node->string('redo') === 'later',
                $node->enums('materials', Material::class),
                $node->enums('effects', Effect::class),
                $node->string('looks'),
                $node->string('cause'),
                $node->string('how_to_see'),
            );
        }
        $problems->refuse();

        return new FaultTable($kinds);
    }

    public static function write(FaultTable $table): stdClass
    {
        return (object) [
            'format' => self::WORD,
            'faults' => array_map(
                fn (FaultKind $k) => (object) [
                    'key' => $k->key,
                    'name' => $k->name,
                    'severity' => $k->severity->value,
                    'hero_severity' => $k->heroSeverity?->value,
                    'by_size' => $k->bySize,
                    'where' => $k->where,
                    'first' => $k->first,
                    'redo' => $k->redoLater ? 'later' : 'none',
                    'materials' => array_map(fn (Material $m) => $m->value, $k->materials),
                    'effects' => array_map(fn (Effect $e) => $e->value, $k->effects),
                    'looks' => $k->looks,
                    'cause' => $k->cause,
                    'how_to_see' => $k->howToSee,
                ],
                array_values($table->kinds),
            ),
        ];
    }
}
