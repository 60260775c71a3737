<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Format\Node;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Problem\Problems;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Severity;
use OutOfBoundsException;

/** The fault table. */
final readonly class FaultCatalogue
{
    public const WORD = 'ordotype/faults@1';

    /** @param  array<string, FaultKind>  $kinds */
    private function __construct(public array $kinds)
    {
    }

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): self
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

        return new self($kinds);
    }

    /** @throws OutOfBoundsException when there is no such fault */
    public function kind(string $key): FaultKind
    {
        return $this->kinds[$key] ?? throw new OutOfBoundsException("There is no fault \"$key\" in the fault table.");
    }
}
