<?php

declare(strict_types=1);

namespace App\Formats;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problem;
use RuntimeException;

/** Holds documents against the JSON Schemas that ship in docs/schemas. */
final class SchemaCheck
{
    private const MOST_ERRORS = 50;

    /** @throws FormatException naming every path that breaks the schema */
    public static function against(string $schema, mixed $document): void
    {
        Sizes::judge($document);
        $file = self::folder()."/$schema.schema.json";
        $text = is_file($file) ? file_get_contents($file) : false;
        if ($text === false) {
            throw new RuntimeException("The schema $file is missing.");
        }
        $validator = new Validator(null, self::MOST_ERRORS);
        $validator->parser()->setOption('defaultDraft', '2020-12');
        $error = $validator->validate($document, json_decode($text, false, 64, JSON_THROW_ON_ERROR))->error();
        if ($error !== null) {
            throw new FormatException(self::problems($error));
        }
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2).'/docs/schemas';
    }

    /** @return non-empty-list<Problem> */
    private static function problems(ValidationError $error): array
    {
        $formatter = new ErrorFormatter();
        $problems = [];
        foreach ($formatter->formatFlat($error, fn (ValidationError $e) => $e) as $leaf) {
            if (! ($leaf instanceof ValidationError) || $leaf->subErrors() !== []) {
                continue;
            }
            $path = implode(
                '',
                array_map(
                    fn (string|int $p) => '/'.str_replace(['~', '/'], ['~0', '~1'], (string) $p),
                    $leaf->data()->fullPath(),
                ),
            );
            $problem = new Problem($path, self::words($leaf, $formatter));
            $problems[(string) $problem] = $problem;
        }

        return $problems === [] ? [new Problem('', $formatter->formatErrorMessage($error))] : array_values($problems);
    }

    /** The library's message in words a painter can act on, for the keywords our schemas use. */
    private static function words(ValidationError $error, ErrorFormatter $formatter): string
    {
        $args = $error->args();
        $shown = fn (mixed $v): string => is_array($v)
            ? implode(', ', array_map(fn (mixed $w) => is_scalar($w) ? (string) $w : 'null', $v))
            : (is_scalar($v)
                ? (string) $v
                : 'null');
        $value = $error->data()->value();
        $there = is_string($value)
            ? '"'.mb_substr($value, 0, 60).'"'
            : (is_scalar($value)
                ? var_export($value, true)
                : $error->data()->type());

        return match ($error->keyword()) {
            'type' => 'must be '.
                str_replace('integer', 'whole number', $shown($args['expected'] ?? '')).
                ", not $there ({$shown($args['type'] ?? '')})",
            'required' => 'lacks '.$shown($args['missing'] ?? []),
            'additionalProperties' => 'has unknown keys: '.$shown($args['properties'] ?? []),
            'enum' => "must be one of the known words, not $there",
            'const' => 'must be '.json_encode($args['const'] ?? null, JSON_UNESCAPED_SLASHES).", not $there",
            'pattern' => "$there has not the form that is asked for",
            default => lcfirst($formatter->formatErrorMessage($error)),
        };
    }
}
