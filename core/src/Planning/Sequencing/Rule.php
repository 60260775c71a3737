<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** The rules of order, by the ids under which plans name them. Common practice, no source. */
enum Rule: string
{
    case Phase = 'phase';
    case LightLast = 'light_last';
    case MessFirst = 'mess_first';
    case InnerFirst = 'inner_first';
    case InnerFinished = 'inner_finished';
    case TouchUpFirst = 'touch_up_first';
    case WhileWet = 'while_wet';
    case DryThrough = 'dry_through';
    case RingThenGem = 'ring_then_gem';
    case SkinThenTeeth = 'skin_then_teeth';
    case MarkSurface = 'mark_surface';
    case SealMarks = 'seal_marks';
    case MetalsPolicy = 'metals_policy';
    case GroundPolicy = 'ground_policy';
    case JoinLate = 'join_late';
    case RimLast = 'rim_last';
    case SamePot = 'same_pot';

    /** Which rule gives way first where rules run in a circle: the lower one. */
    public function strength(): int
    {
        return match ($this) {
            self::SamePot => 0,
            self::InnerFirst => 1,
            self::MessFirst => 2,
            self::InnerFinished => 3,
            self::MetalsPolicy, self::GroundPolicy => 4,
            self::RimLast => 5,
            self::SkinThenTeeth, self::RingThenGem => 6,
            self::MarkSurface, self::SealMarks, self::TouchUpFirst => 7,
            self::LightLast, self::JoinLate => 8,
            self::DryThrough, self::Phase, self::WhileWet => 9,
        };
    }
}
