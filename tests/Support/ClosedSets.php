<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Standard\Clause;
use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use UnitEnum;

/**
 * What of a source file leaves a case of a closed set open: a `default` beside cases of an enum or kinds of clause or
 * requirement, a constant list of cases, and asking an object for its kind. PHPStan says when a `match` without
 * `default` lacks a case and when a class lacks an abstract method; none of these would it notice.
 */
final class ClosedSets extends NodeVisitorAbstract
{
    /** Whose subclasses are kinds. */
    private const KINDS = [Clause::class, Requirement::class];

    /** @var list<string> line and reason */
    private array $open = [];

    /** @return list<string> */
    public static function leftOpen(string $source): array
    {
        $statements = (new ParserFactory())->createForHostVersion()->parse($source) ?? [];
        $self = new self();
        $traverser = new NodeTraverser(new NameResolver(), $self);
        $traverser->traverse($statements);

        return $self->open;
    }

    private string $class = '';

    public function enterNode(Node $node): null
    {
        if ($node instanceof Node\Stmt\ClassLike) {
            $this->class = (string) $node->namespacedName;
        }

        return null;
    }

    public function leaveNode(Node $node): null
    {
        match (true) {
            $node instanceof Node\Expr\Match_ => $this->arms($node),
            $node instanceof Node\Stmt\Switch_ => $this->note($node, 'a switch'),
            $node instanceof Node\Expr\Instanceof_ => self::isKind($node->class)
                ? $this->note($node, 'asks for a kind')
                : null,
            $node instanceof Node\Stmt\ClassConst => array_map(
                fn (Node\Const_ $c) => $this->listed($c->value, $node),
                $node->consts,
            ),
            $node instanceof Node\Expr\FuncCall => $this->call($node),
            default => null,
        };

        return null;
    }

    /** A ladder of conditions about several things must have an end; one that only asks for cases is a table. */
    private function arms(Node\Expr\Match_ $match): void
    {
        $conditions = array_merge(...array_map(fn (Node\MatchArm $a) => $a->conds ?? [], $match->arms));
        $hasDefault = array_filter($match->arms, fn (Node\MatchArm $a) => $a->conds === null) !== [];
        $cases = array_filter($conditions, $this->isCase(...));
        $isLadder = $match->cond instanceof Node\Expr\ConstFetch && $match->cond->name->toLowerString() === 'true';
        if ($hasDefault && ($isLadder ? count($cases) === count($conditions) : $cases !== [])) {
            $this->note($match, 'a default beside cases');
        }
    }

    private function call(Node\Expr\FuncCall $call): void
    {
        if ($call->name instanceof Node\Name && $call->name->toLowerString() === 'in_array' && ! $call->isFirstClassCallable()) {
            $list = $call->getArgs()[1]->value ?? null;
            if ($list !== null) {
                $this->listed($list, $call);
            }
        }
    }

    private function listed(Node\Expr $value, Node $at): void
    {
        if (! ($value instanceof Node\Expr\Array_)) {
            return;
        }
        if ($this->holdsCases($value)) {
            $this->note($at, 'a constant list of cases');
        } elseif ($at instanceof Node\Stmt\ClassConst && self::isWords($value)) {
            $this->note($at, 'a constant list by the words of an enum');
        }
    }

    private function holdsCases(Node\Expr\Array_ $list): bool
    {
        foreach ($list->items as $item) {
            $key = $item->key instanceof Node\Expr\PropertyFetch ? $item->key->var : $item->key;
            if (
                $this->isCase($item->value) ||
                ($key !== null && $this->isCase($key)) ||
                ($item->value instanceof Node\Expr\Array_ && $this->holdsCases($item->value))
            ) {
                return true;
            }
        }

        return false;
    }

    /** Whether the keys, or the values where there are none, are words of one enum of ours. */
    private static function isWords(Node\Expr\Array_ $list): bool
    {
        $keys = [];
        foreach ($list->items as $item) {
            $word = $item->key ?? $item->value;
            if (! ($word instanceof Node\Scalar\String_)) {
                return false;
            }
            $keys[] = $word->value;
        }
        foreach (count($keys) < 2 ? [] : self::enums() as $words) {
            if (array_diff($keys, $words) === []) {
                return true;
            }
        }

        return false;
    }

    /** @return list<list<string>> */
    private static function enums(): array
    {
        static $enums = null;
        if ($enums === null) {
            $enums = [];
            foreach (glob(dirname(__DIR__, 2).'/core/src/{*,*/*}/*.php', GLOB_BRACE) ?: [] as $file) {
                $class = 'Ordotype\\Core\\'.str_replace('/', '\\', substr($file, strlen(dirname(__DIR__, 2).'/core/src/'), -4));
                if (enum_exists($class) && is_subclass_of($class, \BackedEnum::class)) {
                    $enums[] = array_map(fn (\BackedEnum $c) => (string) $c->value, $class::cases());
                }
            }
        }

        return $enums;
    }

    private function isCase(Node\Expr $node): bool
    {
        return match (true) {
            $node instanceof Node\Expr\ClassConstFetch => $node->class instanceof Node\Name &&
                $node->name instanceof Node\Identifier &&
                $this->isEnumCase($node->class->toString(), $node->name->toString()),
            $node instanceof Node\Expr\Instanceof_ => self::isKind($node->class),
            $node instanceof Node\Expr\BinaryOp\Identical => $this->isCase($node->left) || $this->isCase($node->right),
            default => false,
        };
    }

    private function isEnumCase(string $class, string $name): bool
    {
        $class = $class === 'self' ? $this->class : $class;

        return enum_exists($class) && defined("$class::$name") && constant("$class::$name") instanceof UnitEnum;
    }

    private static function isKind(Node $class): bool
    {
        foreach (self::KINDS as $kind) {
            if ($class instanceof Node\Name && is_subclass_of($class->toString(), $kind)) {
                return true;
            }
        }

        return false;
    }

    private function note(Node $node, string $what): void
    {
        $this->open[] = "line {$node->getStartLine()}: $what";
    }
}
