<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use InvalidArgumentException;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use stdClass;

/**
 * Applies edits to a document in `ordotype/standard@1`; whether the result is a standard is for StandardFormat to say.
 */
final class DocumentEdits
{
    /**
     * @param  stdClass  $document  stays as it is
     * @param  list<DocumentEdit>  $edits
     *
     * @throws EditClash when something is not as an edit says it was
     * @throws FormatException when an edit names a tier that is not there
     */
    public static function apply(stdClass $document, array $edits): stdClass
    {
        $result = Json::decode(Json::encode($document));
        if (! ($result instanceof stdClass)) {
            return $document;
        }
        foreach ($edits as $place => $edit) {
            match ($edit->what) {
                'clause' => self::clause($result, $edit, $place),
                'tier' => self::tier($result, $edit, $place),
                'technique' => ($result->techniques = self::put(
                    self::objects($result->techniques),
                    $edit,
                    $place,
                    fn (stdClass $t) => self::text($t, 'key'),
                )),
                'price' => ($result->prices = self::put(
                    self::objects($result->prices),
                    $edit,
                    $place,
                    fn (stdClass $p) => implode(
                        ' ',
                        array_map(fn (string $k) => self::text($p, $k), ['tier', 'size', 'role']),
                    ),
                )),
                default => throw FormatException::at(
                    "/changes/$place/what",
                    'must be clause, tier, technique or price',
                ),
            };
        }

        return $result;
    }

    private static function clause(stdClass $document, DocumentEdit $edit, int $place): void
    {
        foreach (self::objects($document->tiers) as $tier) {
            if (self::text($tier, 'key') === $edit->tier) {
                $tier->clauses = self::put(
                    self::objects($tier->clauses),
                    $edit,
                    $place,
                    fn (stdClass $c) => self::text($c, 'id'),
                );

                return;
            }
        }
        throw FormatException::at("/changes/$place/tier", "there is no tier \"$edit->tier\"");
    }

    /** The head of a tier is the tier without its clauses; a tier that still has some does not go. */
    private static function tier(stdClass $document, DocumentEdit $edit, int $place): void
    {
        $clauses = [];
        $heads = [];
        foreach (self::objects($document->tiers) as $tier) {
            $clauses[self::text($tier, 'key')] = self::objects($tier->clauses);
            unset($tier->clauses);
            $heads[] = $tier;
        }
        if (
            $edit->before !== null &&
            $edit->after === null &&
            ($clauses[self::text($edit->before, 'key')] ?? []) !== []
        ) {
            throw FormatException::at(
                "/changes/$place",
                'the tier still has clauses of its own: retire it, or take them out first',
            );
        }
        if (
            $edit->before !== null &&
            $edit->after !== null &&
            self::text($edit->before, 'key') !== self::text($edit->after, 'key')
        ) {
            throw FormatException::at(
                "/changes/$place/after/key",
                'the key of a tier stays: orders and prices name it',
            );
        }
        $document->tiers = self::put($heads, $edit, $place, fn (stdClass $t) => self::text($t, 'key'));
        foreach ($document->tiers as $tier) {
            $tier->clauses = $clauses[self::text($tier, 'key')] ?? [];
        }
    }

    private static function isAs(?stdClass $current, ?stdClass $before): bool
    {
        try {
            return CanonicalJson::encode($current) === CanonicalJson::encode($before);
        } catch (InvalidArgumentException) {
            // A number that no document can hold: it is not as the document has it.
            return false;
        }
    }

    /**
     * @param  list<stdClass>  $list
     * @param  callable(stdClass): string  $key
     * @return list<stdClass>
     */
    private static function put(array $list, DocumentEdit $edit, int $place, callable $key): array
    {
        $named =
            $edit->before ??
            ($edit->after ??
                throw FormatException::at("/changes/$place", 'must say what it was or what it is to be'));
        $at = null;
        foreach ($list as $i => $one) {
            if ($key($one) === $key($named)) {
                $at = $i;
            }
        }
        $current = $at === null ? null : $list[$at];
        if (! self::isAs($current, $edit->before)) {
            throw new EditClash(
                $current === null
                    ? 'Somebody else has taken this out in the meantime.'
                    : 'Somebody else has changed this in the meantime.',
                $place,
                $current,
            );
        }
        array_splice(
            $list,
            $at ?? count($list),
            $at === null ? 0 : 1,
            $edit->after === null ? [] : [clone $edit->after],
        );

        return $list;
    }

    /** @return list<stdClass> */
    private static function objects(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], fn (mixed $one) => $one instanceof stdClass));
    }

    private static function text(stdClass $object, string $key): string
    {
        $value = $object->{$key} ?? null;

        return is_string($value) ? $value : '';
    }
}
