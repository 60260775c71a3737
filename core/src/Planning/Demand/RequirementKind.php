<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/** What a requirement is about. */
enum RequirementKind: string
{
    case Steps = 'steps';
    case Effect = 'effect';
    case Technique = 'technique';
    case Finish = 'finish';
    case SprayedColours = 'sprayed_colours';
    case Minutes = 'minutes';
    case Skill = 'skill';
}
