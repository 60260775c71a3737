<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Method\Answer;
use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\School;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Problem\Problems;
use stdClass;

/** Reads and writes `ordotype/method@1`. */
final class MethodFormat
{
    public const WORD = 'ordotype/method@1';

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): Method
    {
        $problems = new Problems();
        $schools = array_map(fn (School $s) => $s->value, School::cases());
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format'], ['undercoat_colour', ...$schools]);
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
        $method = new Method($choices, $root->has('undercoat_colour') ? $root->string('undercoat_colour') : null);
        $problems->refuse();

        return $method;
    }

    public static function write(Method $method): stdClass
    {
        $document = ['format' => self::WORD];
        foreach ($method->choices as $school => $choices) {
            $document[$school] =
                $choices[0]->scope === null
                    ? $choices[0]->value
                    : array_map(
                        fn (Answer $c) => (object) [
                            'scope' => ScopeFormat::write($c->scope ?? new \Ordotype\Core\Standard\Scope()),
                            'value' => $c->value,
                        ],
                        $choices,
                    );
        }

        return (object) ($document +
            ($method->undercoatColour === null ? [] : ['undercoat_colour' => $method->undercoatColour]));
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
