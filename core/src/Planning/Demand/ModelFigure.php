<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/** What of the whole model a {@see ModelRequirement} keeps within a range. */
enum ModelFigure
{
    case SprayedColours;
    case Minutes;
    case Skill;

    public function kind(): RequirementKind
    {
        return match ($this) {
            self::SprayedColours => RequirementKind::SprayedColours,
            self::Minutes => RequirementKind::Minutes,
            self::Skill => RequirementKind::Skill,
        };
    }
}
