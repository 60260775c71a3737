<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

/** The rules of order, by the ids under which plans name them. Common practice, no source. */
enum Rule: string
{
    case Phase = 'phase';
    case LightLast = 'light_last';
    case MessFirst = 'mess_first';
    case InnerFirst = 'inner_first';
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

    /** Why a step stands where it stands, in words. */
    public function words(): string
    {
        return match ($this) {
            self::Phase => 'the order of work',
            self::LightLast => 'light goes from broad and dark to narrow and bright',
            self::MessFirst => 'what strays onto neighbours comes before their neat work',
            self::InnerFirst => 'base colours go from the innermost layer outwards, sprayed before brushed',
            self::WhileWet => 'it goes into what is still wet',
            self::JoinLate => 'kept-apart parts are finished before they are joined, and the joint is tidied after',
            self::DryThrough => 'nothing goes over a coat that is still wet',
            self::RingThenGem => 'a gem comes after the ring it sits in',
            self::SkinThenTeeth => 'teeth, nails and eyes come after the shade of the skin around them',
            self::MarkSurface => 'a decal wants gloss under it, or a wash that is still wet',
            self::SealMarks => 'varnish seals the marks',
            self::MetalsPolicy => 'the method says when metals are painted',
            self::GroundPolicy => 'the method says when the ground is painted',
            self::RimLast => 'the rim is the last paint on the model',
            self::SamePot => 'the same pot is still open',
        };
    }

    /** Which rule gives way first where rules run in a circle: the lower one. */
    public function strength(): int
    {
        return match ($this) {
            self::SamePot => 0,
            self::InnerFirst => 1,
            self::MessFirst => 2,
            self::MetalsPolicy, self::GroundPolicy => 3,
            self::RimLast => 4,
            self::SkinThenTeeth, self::RingThenGem => 5,
            self::MarkSurface, self::SealMarks => 6,
            self::LightLast, self::JoinLate => 7,
            self::DryThrough, self::Phase, self::WhileWet => 8,
        };
    }
}
