<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\AmendmentLevel;
use Ordotype\Core\Standard\AmendmentSpread;
use stdClass;

/** Reads and writes `ordotype/amendment@1`: one amendment, or a list of them. */
final class AmendmentFormat
{
    public const WORD = 'ordotype/amendment@1';

    /**
     * @param  array<string, true>  $techniques  keys of the catalogue the amendments speak of
     * @return list<Amendment>
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public static function read(mixed $document, array $techniques): array
    {
        $problems = new Problems();
        $root = Node::root($document, $problems);
        $amendments = [];
        foreach (is_array($document) ? $root->items() : [$root] as $i => $node) {
            $amendments[] = self::amendment($node, $i + 1, $techniques);
        }
        $problems->refuse();

        return $amendments;
    }

    public static function write(Amendment $amendment): stdClass
    {
        $on = $amendment->on;

        return (object) [
            'level' => $amendment->level->value,
            'do' => $amendment->action->value,
            'clause' => $amendment->clause,
            'technique' => $amendment->technique,
            'scope' => ScopeFormat::write($amendment->scope),
            'values' => self::values($amendment),
            'reason' => $amendment->reason,
            'price' => $amendment->price,
            'on' => $on === null
                    ? null
                    : (object) ($on->pieces === null ? ['share' => $on->share] : ['pieces' => $on->pieces]),
        ];
    }

    /** @param  array<string, true>  $techniques */
    private static function amendment(Node $node, int $number, array $techniques): Amendment
    {
        $node->keys(['level', 'do', 'clause', 'technique', 'scope', 'values', 'reason', 'price', 'on'], ['format']);
        if ($node->has('format')) {
            $node->format(self::WORD);
        }
        $action = $node->enum('do', AmendmentAction::class);
        $clause = $node->stringOrNull('clause');
        $technique = $node->stringOrNull('technique');
        if ($technique !== null && ! isset($techniques[$technique])) {
            $node->get('technique')->problem("\"$technique\" is not a technique of this standard's catalogue");
        }
        $wholeClause = $action === AmendmentAction::Add && $technique === null;
        if (! $wholeClause && ($clause === null) === ($technique === null)) {
            $node->problem('must name either a "clause" or a "technique"');
        }
        if ($action === AmendmentAction::Set && $clause === null) {
            $node->get('clause')->problem('must be named: set changes the fields of a clause');
        }
        if ($action === AmendmentAction::Add && $clause !== null) {
            $node->get('clause')->problem('must be null: the clause that is added stands in "values"');
        }
        $values = $node->get('values');
        $added = null;
        if ($wholeClause && $clause === null) {
            $added = ClauseFormat::read($values, $techniques, "amend.$number");
        } elseif ($action === AmendmentAction::Add) {
            $values->keys([], ['passes', 'extent']);
        } elseif ($action === AmendmentAction::Omit) {
            $values->keys([]);
        }
        $change = $action === AmendmentAction::Set ? ClauseChangeFormat::read($values, $techniques) : null;

        return new Amendment(
            number: $number,
            level: $node->enum('level', AmendmentLevel::class),
            action: $action,
            clause: $clause,
            technique: $technique,
            scope: ScopeFormat::read($node->get('scope')),
            reason: $node->string('reason'),
            price: $node->moneyOrNull('price'),
            on: $node->isNull('on') || ! $node->has('on') ? null : self::spread($node->get('on')),
            added: $added,
            passes: $technique !== null && $values->has('passes') ? $values->int('passes', 1, 20) : null,
            extent: $technique !== null && $values->has('extent') ? $values->get('extent')->asExtent() : null,
            change: $change,
        );
    }

    private static function spread(Node $node): AmendmentSpread
    {
        $node->keys([], ['pieces', 'share']);
        if ($node->has('pieces') === $node->has('share')) {
            $node->problem('must hold either "pieces" or "share"');
        }

        return new AmendmentSpread(
            $node->has('pieces') ? $node->int('pieces', 1, 100_000) : null,
            $node->has('share') ? $node->number('share', 0, 1) : null,
        );
    }

    private static function values(Amendment $amendment): stdClass
    {
        if ($amendment->change !== null) {
            return ClauseChangeFormat::write($amendment->change);
        }
        if ($amendment->added === null) {
            $asked = ['passes' => $amendment->passes, 'extent' => $amendment->extent?->word()];

            return (object) array_filter($asked, fn (mixed $v) => $v !== null);
        }
        $clause = ClauseFormat::write($amendment->added);
        if (preg_match('/^amend\.\d+$/D', $amendment->added->id) === 1) {
            unset($clause->id); // it was named by the reader
        }

        return $clause;
    }
}
