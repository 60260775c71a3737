<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

/** What a plan wants a person to know. */
enum WarningKind: string
{
    case GradeLowered = 'grade_lowered';
    case AmendmentOnSome = 'amendment_on_some';
    case RuleOverruled = 'rule_overruled';
    case NoWetWash = 'no_wet_wash';
    case NothingCounted = 'nothing_counted';
    case NoColours = 'no_colours';
    case NoSilver = 'no_silver';
    case NoLights = 'no_lights';
    case LightRepeated = 'light_repeated';
    case LightNotLighter = 'light_not_lighter';
    case LightNotSeen = 'light_not_seen';
    case SprayedThoughDearer = 'sprayed_though_dearer';
    case HardlySeen = 'hardly_seen';
    case OrderCircle = 'order_circle';
}
