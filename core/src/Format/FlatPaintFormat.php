<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Ladder\FlatPaint;
use Ordotype\Core\Sculpt\Material;

/** Reads and writes what flat paint shows, `ordotype/flat-paint@1`. */
final class FlatPaintFormat
{
    public const WORD = 'ordotype/flat-paint@1';

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): FlatPaint
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format', 'materials']);
        $undercoat = $flat = [];
        foreach ($root->list('materials') as $node) {
            $node->keys(['material', 'areas', 'undercoat', 'flat']);
            $material = $node->enum('material', Material::class)->value;
            $undercoat[$material] = $node->number('undercoat');
            $flat[$material] = $node->number('flat');
        }
        $problems->refuse();

        return new FlatPaint($undercoat, $flat);
    }

    /**
     * @param  array<string, int>  $areas  by material: how many were drawn
     * @return array<string, mixed>
     */
    public static function write(FlatPaint $paint, array $areas): array
    {
        $materials = [];
        foreach ($paint->undercoat as $material => $undercoat) {
            $materials[] = [
                'material' => $material,
                'areas' => $areas[$material],
                'undercoat' => $undercoat,
                'flat' => $paint->flat[$material],
            ];
        }

        return ['format' => self::WORD, 'materials' => $materials];
    }
}
