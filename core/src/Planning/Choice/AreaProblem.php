<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Pace;

/** The choice of techniques for one area, or for the whole model, as a problem to be solved at a grade bar. */
final readonly class AreaProblem
{
    /** Minutes closer than this are the same. */
    public const TIE = 1e-9;

    /**
     * @param  list<Candidate>  $candidates  in catalogue order
     * @param  list<Requirement>  $requirements  joined
     * @param  bool  $needsBase  exactly one technique gives the base colour
     * @param  list<Effect>  $given  what the undercoat and the whole techniques give already, and what is done
     * @param  bool  $tidied  whether the tidying that a wash calls for is done already
     * @param  array<string, int>  $passesDone  technique key to passes that count towards its most
     * @param  array<string, true>  $spotOnly  keys of techniques that something done excludes beyond a spot
     */
    public function __construct(
        public array $candidates,
        public array $requirements,
        public bool $needsBase,
        public Pace $pace,
        public array $given,
        public bool $tidied = false,
        public array $passesDone = [],
        public array $spotOnly = [],
    ) {
    }

    /**
     * Equal for problems that have the same solution: everything the search looks at, minutes as finely as it tells
     * them apart, so that the areas of a piece that lacks one are found again.
     */
    public function signature(): string
    {
        $parts = [
            $this->pace->value,
            $this->needsBase ? 'base' : '',
            $this->tidied ? 'tidied' : '',
            implode(',', array_map(fn ($e) => $e->value, $this->given)),
        ];
        $fine = fn (float $minutes): int => (int) round($minutes / self::TIE);
        foreach ($this->candidates as $c) {
            $t = $c->technique;
            [, $spot, $prominent, $full] = $c->minutes;
            $parts[] =
                "{$fine($spot)} {$fine($prominent)} {$fine($full)} $c->index $t->key $c->grade $t->character".
                ($c->needs === [] ? '' : ' '.implode(',', array_map(fn (Effect $e) => $e->value, $c->needs))).
                ($c->needsWash ? ' wash' : '');
        }
        foreach ($this->requirements as $r) {
            $parts[] = "{$r->kind()->value} {$r->choiceKey()}";
        }
        foreach ($this->passesDone as $key => $passes) {
            $parts[] = "done $key $passes";
        }

        return md5(implode('|', [...$parts, ...array_keys($this->spotOnly)]));
    }

    /** @param  list<Requirement>  $requirements */
    public function requiring(array $requirements): self
    {
        return new self(
            $this->candidates,
            $requirements,
            $this->needsBase,
            $this->pace,
            $this->given,
            $this->tidied,
            $this->passesDone,
            $this->spotOnly,
        );
    }

    /** The same problem with one technique fixed as the base, or with some technique left out. */
    public function withBase(string $technique): self
    {
        return $this->filtered(fn (Candidate $c) => ! $c->isBase() || $c->technique->key === $technique);
    }

    public function without(string $technique): self
    {
        return $this->filtered(fn (Candidate $c) => $c->technique->key !== $technique);
    }

    /** The problem with well suited stains as the only bases; null where there is none. */
    public function onStains(): ?self
    {
        $isStain = fn (Candidate $c): bool => MethodOnModel::isStain($c->technique) && $c->suit >= 2;
        foreach ($this->candidates as $candidate) {
            if ($candidate->isBase() && $isStain($candidate)) {
                return $this->filtered(fn (Candidate $c) => ! $c->isBase() || $isStain($c));
            }
        }

        return null;
    }

    /** @param  callable(Candidate): bool  $keep */
    public function filtered(callable $keep): self
    {
        return new self(
            array_values(array_filter($this->candidates, $keep)),
            $this->requirements,
            $this->needsBase,
            $this->pace,
            $this->given,
            $this->tidied,
            $this->passesDone,
            $this->spotOnly,
        );
    }
}
