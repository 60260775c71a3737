<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Standard\Answer;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Scope;
use stdClass;

/** Reads and writes `ordotype/method@1`. */
final class MethodFormat
{
    public const WORD = 'ordotype/method@1';

    private const BESIDE_SCHOOLS = [
        'undercoat_colour',
        'ground_steps',
        'value_wash',
        'metal_start',
        'skin_medium',
    ];

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): Method
    {
        $problems = new Problems();
        $schools = array_map(fn (School $s) => $s->value, School::cases());
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format'], [...self::BESIDE_SCHOOLS, ...$schools]);
        $choices = [];
        foreach (School::cases() as $school) {
            if (! $root->has($school->value)) {
                continue;
            }
            $node = $root->get($school->value);
            if (! is_array($node->value)) {
                $choices[$school->value] = [new Answer(self::answer($node, $school), null)];

                continue;
            }
            foreach ($node->items() as $i => $item) {
                if ($school === School::SkinWash && is_string($item->value)) {
                    $choices[$school->value][] = new Answer(self::answer($item, $school), null);

                    continue;
                }
                if ($school === School::Weathering && $item->has('technique')) {
                    $item->keys(['technique', 'value']);
                    $value = self::answer($item->get('value'), $school);
                    $choices[$school->value][] = new Answer($value, null, $item->string('technique'));

                    continue;
                }
                $item->keys(['scope', 'value']);
                $scope = ScopeFormat::read($item->get('scope'));
                // After answers for some areas, one for any area is the answer for the whole model.
                $rest = $i > 0 && get_object_vars(ScopeFormat::write($scope)) === [];
                $choices[$school->value][] = new Answer(
                    self::answer($item->get('value'), $school),
                    $rest ? null : $scope,
                );
            }
            if ($node->items() === []) {
                $node->problem('must hold at least one {scope, value}, or be left out');
            }
        }
        $method = new Method(
            $choices,
            $root->has('undercoat_colour') ? $root->string('undercoat_colour') : null,
            $root->has('ground_steps') ? $root->strings('ground_steps') : [],
            $root->has('value_wash') && $root->bool('value_wash'),
            $root->has('metal_start') ? PotFormat::read($root->get('metal_start')) : null,
            $root->has('skin_medium') ? $root->int('skin_medium', 1, 99) : null,
        );
        if ($method->valueWash && $method->answer(School::Undercoat) === 'value_sketch') {
            $root->get('value_wash')->problem('cannot go together with an undercoat that is a value sketch');
        }
        $problems->refuse();

        return $method;
    }

    public static function write(Method $method): stdClass
    {
        $document = ['format' => self::WORD];
        foreach ($method->choices as $school => $choices) {
            $isPlain = $choices[0]->scope === null && $choices[0]->technique === null;
            $document[$school] = match (true) {
                $isPlain && count($choices) === 1 => $choices[0]->value,
                $isPlain => array_map(fn (Answer $c) => $c->value, $choices),
                default => array_map(self::written(...), $choices),
            };
        }

        return (object) ($document +
            ($method->undercoatColour === null ? [] : ['undercoat_colour' => $method->undercoatColour]) +
            ($method->groundSteps === [] ? [] : ['ground_steps' => $method->groundSteps]) +
            ($method->valueWash ? ['value_wash' => true] : []) +
            ($method->metalStart === null ? [] : ['metal_start' => PotFormat::write($method->metalStart)]) +
            ($method->skinMedium === null ? [] : ['skin_medium' => $method->skinMedium]));
    }

    private static function written(Answer $answer): stdClass
    {
        return (object) ($answer->technique === null
            ? ['scope' => ScopeFormat::write($answer->scope ?? new Scope()), 'value' => $answer->value]
            : ['technique' => $answer->technique, 'value' => $answer->value]);
    }

    private static function answer(Node $node, School $school): string
    {
        $answer = $node->asString();
        if (is_string($node->value) && ! in_array($answer, $school->answers(), true)) {
            $node->problem('must be one of '.implode(', ', $school->answers()).", not \"$answer\"");
        }

        return $answer;
    }
}
