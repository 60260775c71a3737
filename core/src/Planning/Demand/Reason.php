<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Standard\School;

/** Why something is asked for or done: a clause, an amendment, a school of the method, or a rule of the job
 * itself. */
final readonly class Reason
{
    /** @var string the word under which the open formats name it; equal for equal reasons */
    public string $id;

    private function __construct(
        public ReasonKind $kind,
        public ?string $clause = null,
        public ?int $amendment = null,
        public ?School $school = null,
    ) {
        $this->id = match ($kind) {
            ReasonKind::Clause => (string) $clause,
            ReasonKind::Amendment => "amend.$amendment",
            ReasonKind::Method => 'method.'.$school?->value,
            ReasonKind::Base, ReasonKind::Tidying, ReasonKind::Parts, ReasonKind::TouchUp => $kind->value,
        };
    }

    /** @param  string  $id  of the clause */
    public static function clause(string $id): self
    {
        return new self(ReasonKind::Clause, clause: $id);
    }

    /** @param  int  $number  as in {@see \Ordotype\Core\Standard\Amendment::$number} */
    public static function amendment(int $number): self
    {
        return new self(ReasonKind::Amendment, amendment: $number);
    }

    public static function method(School $school): self
    {
        return new self(ReasonKind::Method, school: $school);
    }

    /** Every area gets one base colour. */
    public static function base(): self
    {
        return new self(ReasonKind::Base);
    }

    /** A wash calls for tidying. */
    public static function tidying(): self
    {
        return new self(ReasonKind::Tidying);
    }

    /** What strayed onto a ground that shows through is put right. */
    public static function touchUp(): self
    {
        return new self(ReasonKind::TouchUp);
    }

    /** Kept-apart parts are joined. */
    public static function parts(): self
    {
        return new self(ReasonKind::Parts);
    }

    /**
     * @param  list<self>  $reasons
     * @return list<self> each once, in the order in which they come first
     */
    public static function unique(array $reasons): array
    {
        $first = [];
        foreach ($reasons as $reason) {
            $first[$reason->id] ??= $reason;
        }

        return array_values($first);
    }

    /**
     * @param  list<self>  $reasons
     * @return list<string>
     */
    public static function ids(array $reasons): array
    {
        return array_map(fn (self $r) => $r->id, $reasons);
    }
}
