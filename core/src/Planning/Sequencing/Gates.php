<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Standard\Gate;
use OutOfBoundsException;

/**
 * Where the gates of a tier stand in an order of work: after the last preparing step, after the undercoat and what
 * shows light on it, after joining, and before matt varnish. That of the test model stands where the colours begin: one
 * model is painted, and when it is rejected the others come no further. The final look is no place in it.
 */
final readonly class Gates
{
    /** @var array<string, int> by gate: the place of the last step that is done before it */
    private array $places;

    /**
     * @param  list<Step>  $steps  in their order
     * @param  list<Gate>  $wanted  by the tier
     */
    public function __construct(array $steps, array $wanted)
    {
        $places = [];
        foreach ($wanted as $gate) {
            $place = match ($gate) {
                Gate::Prepared => self::after($steps, [Phase::Prepare]),
                Gate::Undercoated => self::after($steps, [Phase::Undercoat, Phase::Value]),
                Gate::TestModel => self::after($steps, [Phase::Prepare, Phase::Undercoat, Phase::Value]),
                Gate::BeforeVarnish => self::before($steps, Phase::MattVarnish),
                Gate::Joined => self::after($steps, [Phase::Join, Phase::JointTidy]),
                Gate::Final => null,
            };
            if ($place !== null) {
                $places[$gate->value] = $place;
            }
        }
        asort($places);
        $this->places = $places;
    }

    /** @return list<Gate> at which every model is looked at, in the order of work */
    public function all(): array
    {
        $gates = array_map(Gate::from(...), array_keys($this->places));

        return array_values(array_filter($gates, fn (Gate $g) => $g !== Gate::TestModel));
    }

    /** Whether one model is to be painted first and settles the colours of the rest. */
    public function wantsTestModel(): bool
    {
        return isset($this->places[Gate::TestModel->value]);
    }

    /**
     * Where a piece stands to a gate.
     *
     * @param  list<int>  $needed  places of the steps that the piece gets
     * @param  list<int>  $done  places of those that are done
     *
     * @throws OutOfBoundsException when the work has no such gate
     */
    public function standing(Gate $gate, array $needed, array $done): GateStanding
    {
        $place = $this->places[$gate->value] ?? throw new OutOfBoundsException("There is no gate $gate->value here.");
        if (array_filter($done, fn (int $i) => $i > $place) !== []) {
            return GateStanding::Past;
        }
        $open = array_filter(array_diff($needed, $done), fn (int $i) => $i <= $place);

        return $open === [] ? GateStanding::At : GateStanding::Before;
    }

    /** Whether a step lies beyond a gate. */
    public function isBeyond(Gate $gate, int $step): bool
    {
        return isset($this->places[$gate->value]) && $step > $this->places[$gate->value];
    }

    /**
     * The gate that keeps a piece from steps: one that refused it, or its unit's test model where that was rejected.
     *
     * @param  list<Gate>  $refused  by which the piece was refused; the test model is not among them
     * @param  bool  $waits  whether another model was painted first and rejected
     * @param  list<int>  $steps  places of what is to be done
     */
    public function holding(array $refused, bool $waits, array $steps): ?Gate
    {
        foreach ($steps as $step) {
            foreach ([...$refused, ...$waits ? [Gate::TestModel] : []] as $gate) {
                if ($this->isBeyond($gate, $step)) {
                    return $gate;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<Step>  $steps
     * @param  list<Phase>  $phases
     */
    private static function after(array $steps, array $phases): ?int
    {
        $last = null;
        foreach ($steps as $i => $step) {
            $last = in_array($step->phase, $phases, true) ? $i : $last;
        }

        return $last;
    }

    /** @param  list<Step>  $steps */
    private static function before(array $steps, Phase $phase): ?int
    {
        foreach ($steps as $i => $step) {
            if ($step->phase === $phase) {
                return $i > 0 ? $i - 1 : null;
            }
        }

        return null;
    }
}
