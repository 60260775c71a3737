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
