<?php

declare(strict_types=1);

namespace Tests\Support;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\FindingVisitor;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;

/** Which classes use one another in a circle. */
final class Circles
{
    /** @var array<string, int> the moment each was reached at (Tarjan 1972) */
    private array $reached = [];

    /** @var array<string, int> */
    private array $lowest = [];

    /** @var array<string, true> */
    private array $stack = [];

    /** @var list<list<string>> */
    private array $circles = [];

    /** @param  array<string, list<string>>  $uses  by class */
    private function __construct(private readonly array $uses)
    {
    }

    /**
     * @param  array<string, list<string>>  $uses  by class: those it names
     * @return list<list<string>> each circle, in the order of its names
     */
    public static function in(array $uses): array
    {
        $self = new self($uses);
        foreach (array_keys($uses) as $class) {
            if (! isset($self->reached[$class])) {
                $self->visit($class);
            }
        }
        usort($self->circles, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return $self->circles;
    }

    /** @return array{string, list<string>} the class of a source file and the names in it */
    public static function namesIn(string $source): array
    {
        $class = '';
        $found = new FindingVisitor(fn (Node $n) => $n instanceof Node\Name\FullyQualified);
        $classes = new FindingVisitor(fn (Node $n) => $n instanceof Node\Stmt\ClassLike);
        $traverser = new NodeTraverser(new NameResolver(), $found, $classes);
        $traverser->traverse((new ParserFactory())->createForHostVersion()->parse($source) ?? []);
        foreach ($classes->getFoundNodes() as $node) {
            $class = $node instanceof Node\Stmt\ClassLike && $node->name !== null ? (string) $node->namespacedName : $class;
        }
        $names = array_map(fn (Node $n) => $n instanceof Node\Name ? $n->toString() : '', $found->getFoundNodes());

        return [$class, array_values(array_diff(array_unique($names), [$class]))];
    }

    private function visit(string $class): void
    {
        $this->reached[$class] = $this->lowest[$class] = count($this->reached);
        $this->stack[$class] = true;
        foreach ($this->uses[$class] ?? [] as $used) {
            if (! isset($this->uses[$used])) {
                continue;
            }
            if (! isset($this->reached[$used])) {
                $this->visit($used);
                $this->lowest[$class] = min($this->lowest[$class], $this->lowest[$used]);
            } elseif (isset($this->stack[$used])) {
                $this->lowest[$class] = min($this->lowest[$class], $this->reached[$used]);
            }
        }
        if ($this->lowest[$class] === $this->reached[$class]) {
            $circle = array_slice(array_keys($this->stack), (int) array_search($class, array_keys($this->stack), true));
            $this->stack = array_diff_key($this->stack, array_flip($circle));
            sort($circle);
            if (count($circle) > 1) {
                $this->circles[] = $circle;
            }
        }
    }
}
