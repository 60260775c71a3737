<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\Figure;
use Ordotype\Core\Picture\Photo\Unmeasured;
use Ordotype\Core\Sculpt\Sculpt;

/** Reads and writes what was measured of a photograph, `ordotype/measures@1`: a list of areas. */
final class MeasureFormat
{
    /** The figures of an area, by the names under which they are kept. */
    private const FIGURES = ['contrast', 'stark', 'from_above', 'bare', 'line_width'];

    /**
     * @param  array<string, AreaMeasure>  $measures
     * @return list<array<string, mixed>>
     */
    public static function write(array $measures): array
    {
        $figure = fn (Figure $f): array => [
            'value' => $f->value === null ? null : round($f->value, 4),
            'pixels' => $f->pixels,
            'why' => $f->why?->value,
        ];

        return array_values(
            array_map(
                fn (AreaMeasure $m): array => [
                    'area' => $m->area->key,
                    'pixels' => $m->pixels,
                    'why' => $m->why?->value,
                    'contrast' => $figure($m->contrast),
                    'stark' => $figure($m->stark),
                    'from_above' => $figure($m->fromAbove),
                    'bare' => $figure($m->bare),
                    'line_width' => $figure($m->lineWidth),
                    'colour' => $m->colour === null
                        ? null
                        : [round($m->colour->l, 3), round($m->colour->a, 3), round($m->colour->b, 3)],
                    'tones' => $m->tones,
                ],
                $measures,
            ),
        );
    }

    /**
     * @return array<string, AreaMeasure> by area key; without areas that the figure no longer has
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public static function read(mixed $document, Sculpt $sculpt): array
    {
        $problems = new Problems();
        $measures = [];
        foreach (Node::root($document, $problems)->items() as $node) {
            $node->keys(['area', 'pixels', 'why', ...self::FIGURES, 'colour', 'tones']);
            $key = $node->string('area');
            $area = array_values(array_filter($sculpt->areas, fn ($a) => $a->key === $key))[0] ?? null;
            if ($area === null) {
                continue;
            }
            $f = [];
            foreach (self::FIGURES as $name) {
                $f[$name] = self::figure($node->get($name));
            }
            $measures[$key] = new AreaMeasure(
                $area,
                $node->int('pixels'),
                $node->isNull('why') ? null : $node->enum('why', Unmeasured::class),
                $f['contrast'],
                $f['stark'],
                $f['from_above'],
                $f['bare'],
                $f['line_width'],
                self::colour($node),
                $node->isNull('tones') ? null : self::numbers($node->get('tones')),
            );
        }
        $problems->refuse();

        return $measures;
    }

    private static function figure(Node $node): Figure
    {
        $node->keys(['value', 'pixels', 'why']);
        $pixels = $node->int('pixels');

        return $node->isNull('value')
            ? Figure::none($node->enum('why', Unmeasured::class), $pixels)
            : Figure::of($node->number('value'), $pixels);
    }

    private static function colour(Node $node): ?Lab
    {
        if ($node->isNull('colour')) {
            return null;
        }
        $lab = self::numbers($node->get('colour'));

        return new Lab($lab[0] ?? 0.0, $lab[1] ?? 0.0, $lab[2] ?? 0.0);
    }

    /** @return list<float> */
    private static function numbers(Node $node): array
    {
        return array_map(fn (Node $n) => $n->asNumber(-INF, INF), $node->items());
    }
}
