<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** The kinds of clause, by the words of the formats. */
enum ClauseKind: string
{
    case Steps = 'steps';
    case SprayedColours = 'sprayed_colours';
    case Effect = 'effect';
    case Technique = 'technique';
    case Finish = 'finish';
    case Acceptance = 'acceptance';
    case Minutes = 'minutes';
    case Skill = 'skill';
}
