<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Demand\ClausesInForce;
use Ordotype\Core\Planning\Demand\DemandResolver;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\WellKnown;

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

    /** What it takes to put the undercoat's colour back on an area; null where the catalogue does not say. */
    public function touchUp(Area $area): ?Candidate
    {
        $standard = $this->request->standard;
        $touchUp = $standard->hasTechnique(WellKnown::TOUCH_UP) ? $standard->technique(WellKnown::TOUCH_UP) : null;
        if ($touchUp === null || $touchUp->whole || ! FittingTechniques::fits($touchUp, $area)) {
            return null;
        }
        $index = (int) array_search($touchUp, $standard->techniques, true);
        $pace = $this->request->tier->pace;

        return Candidate::onArea($touchUp, $index, $area, $this->request->sculpt, $pace, $this->method);
    }

    /** @throws \Ordotype\Core\Foundation\FormatException when an amendment does not fit the tier */
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
