<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;

/** What stands out in what was chosen, whatever order it is done in. */
final readonly class PlanWarnings
{
    /** Minutes of a unit that are not worth a word. */
    private const WORTH_SAYING = 0.5;

    private PlanRequest $request;

    public function __construct(private ChosenWork $chosen)
    {
        $this->request = $chosen->context->request;
    }

    /** @return list<Warning> */
    public function all(): array
    {
        return [
            ...$this->loweredGrades(),
            ...$this->ofTheRequest(),
            ...$this->decalsWithoutWash(),
            ...$this->nothingCounted(),
            ...$this->withoutColours(),
            ...$this->sprayedThoughDearer(),
        ];
    }

    /** @return list<Warning> colours that a clause wants sprayed where the brush would be quicker for this unit */
    private function sprayedThoughDearer(): array
    {
        $warnings = [];
        $asked = $this->chosen->whole->demand->ofModel(ModelFigure::SprayedColours);
        foreach ($this->chosen->sprayed as $colour) {
            if ($colour->dearerBy >= self::WORTH_SAYING) {
                $warnings[] = new Warning(
                    WarningKind::SprayedThoughDearer,
                    $colour->areas[0],
                    minutes: $colour->dearerBy,
                    reasons: $asked->reasons ?? [],
                );
            }
        }

        return $warnings;
    }

    /** @return list<Warning> */
    private function loweredGrades(): array
    {
        $warnings = [];
        foreach ($this->chosen->areas as $planned) {
            if ($planned->demand->area !== null && $planned->relaxed > 0 && $planned->choice !== null) {
                $warnings[] = new Warning(
                    WarningKind::GradeLowered,
                    $planned->demand->area,
                    gradeBar: $planned->gradeBar,
                );
            }
        }

        return $warnings;
    }

    /** @return list<Warning> amendments that are left to other pieces, and rules that are set aside */
    private function ofTheRequest(): array
    {
        $warnings = [];
        foreach ($this->request->amendments as $amendment) {
            if ($amendment->on !== null) {
                $warnings[] = new Warning(WarningKind::AmendmentOnSome, amendment: $amendment);
            }
        }
        foreach ($this->request->arrangement->overrules as $overrule) {
            $warnings[] = new Warning(WarningKind::RuleOverruled, overrule: $overrule);
        }

        return $warnings;
    }

    /** @return list<Warning> */
    private function decalsWithoutWash(): array
    {
        $warnings = [];
        foreach ($this->chosen->areas as $planned) {
            $area = $planned->demand->area;
            $hasDecal = $hasWash = false;
            foreach ($planned->choice->techniques ?? [] as $used) {
                $goesIn = $area !== null && $this->chosen->context->method->goesIntoWash($used->technique, $area);
                $hasDecal = $hasDecal || $goesIn;
                $hasWash = $hasWash || ($used->technique->tidied && $used->technique->has(Effect::Shade));
            }
            if ($hasDecal && ! $hasWash) {
                $warnings[] = new Warning(WarningKind::NoWetWash, $area);
            }
        }

        return $warnings;
    }

    /** @return list<Warning> what is timed by the piece where the map counts nothing */
    private function nothingCounted(): array
    {
        $takesNoTime = fn (ChosenTechnique $u): bool => $u->technique->perPiece > 0 && $u->minutes() <= 0.0;
        $warnings = [];
        foreach ($this->chosen->areas as $planned) {
            foreach ($planned->demand->area?->count === 0 ? $planned->choice->techniques ?? [] : [] as $used) {
                if ($takesNoTime($used)) {
                    $warnings[] = new Warning(WarningKind::NothingCounted, $planned->demand->area, $used->technique);
                }
            }
        }

        return $warnings;
    }

    /** @return list<Warning> */
    private function withoutColours(): array
    {
        $scheme = $this->request->scheme;
        $warnings = [];
        foreach ($scheme === null ? [] : $this->chosen->areas as $planned) {
            $area = $planned->demand->area;
            if ($area !== null && $area->rank !== Rank::Ground && $scheme?->for($area) === null) {
                $warnings[] = new Warning(WarningKind::NoColours, $area);
            }
        }

        return $warnings;
    }
}
