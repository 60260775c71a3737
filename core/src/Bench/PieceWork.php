<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Effect;

/** All that one piece wants on the bench: the steps of its release, and what a check sent back. */
final readonly class PieceWork
{
    /** @var array<string, WantedStep> of the release, by key */
    public array $planned;

    /** @var array<string, WantedStep> of repairs, by key: fault by fault, varnish after all the rest of them */
    public array $repairs;

    /**
     * @param  array<string, Step>  $steps  of the release that the piece gets, by key
     * @param  list<SentBack>  $sentBack
     */
    public function __construct(array $steps, array $sentBack)
    {
        $this->planned = array_map(fn (Step $s) => new WantedStep($s->technique, $s->area?->key, $s->minutes), $steps);
        $repairs = [];
        foreach ($sentBack as $fault) {
            $repairs += $fault->steps;
        }
        // Varnish goes over everything else, whichever fault called for it.
        $last = array_filter($repairs, self::protects(...));
        $this->repairs = array_diff_key($repairs, $last) + $last;
    }

    /** @return array<string, WantedStep> */
    public function wanted(): array
    {
        return $this->planned + $this->repairs;
    }

    /**
     * @param  list<string>  $done  keys of what is marked
     * @return list<WantedStep> what is neither done nor left out, in its order
     */
    public function open(array $done): array
    {
        return array_values(array_diff_key($this->wanted(), array_flip($done)));
    }

    /**
     * Varnish of a repair that is marked before the rest of the repair is done, and the first step of that rest.
     *
     * @param  list<string>  $done  keys of what is marked, with what is marked now
     * @return array{WantedStep, WantedStep}|null
     */
    public function varnishedTooSoon(array $done): ?array
    {
        $marked = array_intersect_key($this->repairs, array_flip($done));
        $varnish = array_values(array_filter($marked, self::protects(...)))[0] ?? null;
        $open = array_diff_key($this->repairs, $marked);
        $rest = array_values(array_filter($open, fn (WantedStep $s) => ! self::protects($s)))[0] ?? null;

        return $varnish === null || $rest === null ? null : [$varnish, $rest];
    }

    private static function protects(WantedStep $step): bool
    {
        return $step->technique->has(Effect::Protect);
    }
}
