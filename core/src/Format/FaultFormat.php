<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Problem\Problems;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultGroup;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;

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
                FaultGroup::of($key),
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
}
