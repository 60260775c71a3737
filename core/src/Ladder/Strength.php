<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/** Which of two clauses asks for more. */
final class Strength
{
    /**
     * Whether whoever meets $strong meets $weak too, on every area that $weak speaks of; as far as the clauses alone
     * tell.
     */
    public static function implies(Clause $strong, Clause $weak): bool
    {
        return self::sameScope($strong->scope(), $weak->scope()) && self::asksAtLeast($strong, $weak);
    }

    /**
     * The same without a look at where they hold. Floors count, ceilings do not, but for minutes, which are a ceiling.
     */
    public static function asksAtLeast(Clause $strong, Clause $weak): bool
    {
        return match (true) {
            $strong instanceof EffectClause && $weak instanceof EffectClause => self::requirement($strong)->implies(
                self::requirement($weak),
            ),
            $strong instanceof StepsClause => $weak instanceof StepsClause && $strong->min >= $weak->min,
            $strong instanceof SprayedColoursClause => $weak instanceof $strong && $strong->min >= $weak->min,
            $strong instanceof FinishClause && $weak instanceof FinishClause => $strong->criterion ===
                $weak->criterion &&
                ($weak->criterion->isFloor() ? $strong->limit >= $weak->limit : $strong->limit <= $weak->limit),
            $strong instanceof TechniqueClause && $weak instanceof TechniqueClause => $strong->technique ===
                $weak->technique &&
                $strong->family === $weak->family &&
                $strong->status === TechniqueStatus::Required &&
                ($weak->status !== TechniqueStatus::Required ||
                    ($strong->extent()->value >= $weak->extent()->value && $strong->passes() >= $weak->passes())),
            $strong instanceof MinutesClause && $weak instanceof MinutesClause => $strong->size === $weak->size &&
                $strong->max <= $weak->max,
            $strong instanceof SkillClause && $weak instanceof SkillClause => $strong->min >= $weak->min,
            default => false,
        };
    }

    public static function requirement(EffectClause $clause): EffectRequirement
    {
        return new EffectRequirement(
            '',
            [],
            null,
            $clause->effects,
            $clause->extent(),
            $clause->passes(),
            $clause->by,
        );
    }

    public static function sameScope(Scope $one, Scope $other): bool
    {
        return $one == $other;
    }
}
