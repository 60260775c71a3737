<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * One thing a tier says. Fields that a file may leave out are null when they are not stated, so that what is written
 * back is what was read; the methods give the values that hold.
 */
abstract readonly class Clause
{
    public function __construct(
        public string $id,
        public ?Scope $scope = null,
        public ?string $label = null,
        public ?string $clientText = null,
        public ?Severity $severity = null,
    ) {
    }

    /**
     * @template T
     *
     * @param  ClauseVisitor<T>  $visitor
     * @return T what the visitor makes of this kind
     */
    abstract public function accept(ClauseVisitor $visitor): mixed;

    /** @return list<ClauseField> what an amendment may set of it, beside what every clause has */
    abstract public function fields(): array;

    /** The same clause with what the change sets of its fields, which are {@see fields}. */
    abstract protected function taking(ClauseChange $change): static;

    /**
     * Whether whoever meets this one meets the other too, wherever both hold; as far as the clauses alone tell. Floors
     * count, ceilings do not, but for minutes, which are a ceiling.
     */
    abstract public function asksAtLeast(self $other): bool;

    /**
     * The same with the floor of another, of its kind and subject, where that is higher; null where it is of another
     * kind or about something else, or has no floor to raise.
     */
    abstract public function raisedTo(self $other): ?static;

    /** The same, as it also holds: on every area that the other one speaks of. */
    public function implies(self $other): bool
    {
        return $this->scope() == $other->scope() && $this->asksAtLeast($other);
    }

    /** @throws UnfitChange when it has no such field, or cannot have such a value */
    public function changed(ClauseChange $change): static
    {
        foreach ($change->fields() as $field) {
            if (! $field->isOfEveryClause() && ! in_array($field, $this->fields(), true)) {
                throw UnfitChange::notThere($field);
            }
        }

        return $this->taking($change);
    }

    /**
     * Picks out one kind; what is of another kind is judged by nobody who asks for this.
     *
     * @template C of self
     *
     * @param  class-string<C>  $kind
     * @param  array<array-key, self|null>  $clauses
     * @return list<C>
     */
    public static function only(string $kind, array $clauses): array
    {
        return array_values(array_filter($clauses, fn (?self $c) => $c instanceof $kind));
    }

    /** @return array{Scope|null, string|null, string|null, Severity|null} in the order of the constructors */
    protected function common(ClauseChange $change): array
    {
        return [
            $this->scope,
            $change->label ?? $this->label,
            $change->clientText ?? $this->clientText,
            $change->severity ?? $this->severity,
        ];
    }

    public function scope(): Scope
    {
        return $this->scope ?? new Scope();
    }

    /** Whether another clause says the very same, whatever it is called. */
    public function saysTheSame(self $other): bool
    {
        return $other::class === $this::class && $this->saying() == $other->saying();
    }

    /** Whether another clause is the same but for its id. */
    public function isTheSame(self $other): bool
    {
        return $this->saysTheSame($other) &&
            $other->label === $this->label &&
            $other->clientText === $this->clientText &&
            $other->severity === $this->severity;
    }

    /** Equal text for clauses that say the very same: a key to gather them by. */
    public function sayingKey(): string
    {
        return $this::class.serialize($this->saying());
    }

    /** The same wherever it holds: equal text for clauses that differ in their scopes alone. */
    public function askingKey(): string
    {
        $fields = $this->saying();
        unset($fields['scope']);

        return $this::class.serialize($fields);
    }

    /** @return array<array-key, mixed> all but its names, severity and the sentence for clients */
    private function saying(): array
    {
        $fields = get_object_vars($this);
        unset($fields['id'], $fields['label'], $fields['clientText'], $fields['severity']);

        return $fields;
    }

    /** The id after its first dot: what a tier that extends another replaces or drops by. */
    public function suffix(): string
    {
        $dot = strpos($this->id, '.');

        return $dot === false ? $this->id : substr($this->id, $dot + 1);
    }
}
