<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Demand\ClausesInForce;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Standard\Effect;

/** What every part of planning looks at: the request, the method on this model, and what all areas get anyway. */
final readonly class PlanContext
{
    /** @param  list<Effect>  $given  what undercoat and whole techniques give every area */
    private function __construct(public PlanRequest $request, public MethodOnModel $method, public array $given)
    {
    }

    public static function of(PlanRequest $request): self
    {
        $method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);

        return new self($request, $method, []);
    }

    /** With what is done on the whole model. */
    public function under(PlannedArea $whole): self
    {
        $given = $this->method->given();
        foreach ($whole->choice->techniques ?? [] as $used) {
            foreach (array_keys($used->technique->effects) as $effect) {
                $given[] = Effect::from($effect);
            }
        }

        return new self($this->request, $this->method, $given);
    }

    public function by(MethodOnModel $method): self
    {
        return new self($this->request, $method, $this->given);
    }

    /** With another request, and what all areas get as it is. */
    public function for(PlanRequest $request): self
    {
        return new self($request, $this->method, $this->given);
    }

    /** @throws \Ordotype\Core\Problem\FormatException when an amendment does not fit the tier */
    public function demands(): DemandResolver
    {
        $r = $this->request;

        return new DemandResolver(
            $r->standard,
            ClausesInForce::of($r->standard, $r->tier, $r->amendments),
            $r->sculpt,
        );
    }
}
