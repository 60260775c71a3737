<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\AmendmentLevel;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\UnfitChange;

/** The clauses of a tier after `extends` and amendments, in order. */
final readonly class ClausesInForce
{
    /**
     * @param  list<ClauseInForce>  $all
     * @param  list<Scope>  $unpainted  where no base colour is wanted
     */
    private function __construct(public Tier $tier, public array $all, public array $unpainted)
    {
    }

    /**
     * Amendments are applied in the order studio, order, unit, piece. Those that hold on some pieces only are left to
     * the plans of those pieces; so is, of the studio's and an order's, one that names a clause of another tier,
     * since
     * these hold over units of several tiers.
     *
     * @param  list<Amendment>  $amendments
     *
     * @throws FormatException when an amendment names a clause that is not there, or sets a value that does not fit
     */
    public static function of(Standard $standard, Tier $tier, array $amendments): self
    {
        $clauses = array_map(
            fn (Clause $clause) => new ClauseInForce($clause, [Reason::clause($clause->id)]),
            $standard->clausesOf($tier),
        );
        usort(
            $amendments,
            fn (Amendment $a, Amendment $b) => [$a->level->rank(), $a->number] <=> [$b->level->rank(), $b->number],
        );
        $unpainted = [];
        foreach ($amendments as $amendment) {
            $isBase = $amendment->clause === Amendment::BASE && $amendment->action === AmendmentAction::Omit;
            if ($amendment->on === null && $isBase) {
                $unpainted[] = $amendment->scope;
            } elseif ($amendment->on === null && ! self::speaksOfAnotherTier($amendment, $clauses, $standard)) {
                $clauses = self::amended($clauses, $amendment);
            }
        }

        return new self($tier, $clauses, $unpainted);
    }

    /** @param  list<ClauseInForce>  $clauses */
    private static function speaksOfAnotherTier(Amendment $amendment, array $clauses, Standard $standard): bool
    {
        if (
            $amendment->clause === null ||
            $amendment->action === AmendmentAction::Add ||
            $amendment->level->rank() > AmendmentLevel::Order->rank()
        ) {
            return false;
        }
        foreach ($clauses as $one) {
            if ($one->clause->id === $amendment->clause) {
                return false;
            }
        }
        foreach ($standard->tiers as $tier) {
            foreach ($tier->clauses as $clause) {
                if ($clause->id === $amendment->clause) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<ClauseInForce>  $clauses
     * @return list<ClauseInForce>
     */
    private static function amended(array $clauses, Amendment $amendment): array
    {
        $reason = Reason::amendment($amendment->number);
        if ($amendment->action === AmendmentAction::Add) {
            $clause = $amendment->added ?? self::asked($amendment);
            $reasons = $clause->id === $amendment->id() ? [$reason] : [Reason::clause($clause->id), $reason];

            return [...$clauses, new ClauseInForce($clause, $reasons, [$amendment->scope])];
        }
        if ($amendment->technique !== null) {
            // A technique that is left out is asked for by nothing and used for nothing on those areas.
            $clause = new TechniqueClause($amendment->id(), $amendment->technique, null, TechniqueStatus::NotOffered);

            return [...$clauses, new ClauseInForce($clause, [$reason], [$amendment->scope])];
        }

        $result = [];
        $found = false;
        foreach ($clauses as $one) {
            if ($one->clause->id !== $amendment->clause) {
                $result[] = $one;

                continue;
            }
            $found = true;
            $result[] = $one->without($amendment->scope);
            if ($amendment->action === AmendmentAction::Set) {
                $result[] = $one->changed(self::changed($one->clause, $amendment), $amendment->scope, $amendment);
            }
        }
        if (! $found) {
            throw FormatException::at(
                '/'.($amendment->number - 1).'/clause',
                "\"$amendment->clause\" is not a clause of this tier",
            );
        }

        return $result;
    }

    /** A technique that an amendment asks for. */
    private static function asked(Amendment $amendment): TechniqueClause
    {
        return new TechniqueClause(
            $amendment->id(),
            $amendment->technique,
            null,
            TechniqueStatus::Required,
            $amendment->extent,
            $amendment->passes,
        );
    }

    private static function changed(Clause $clause, Amendment $amendment): Clause
    {
        try {
            return $amendment->change === null ? $clause : $clause->changed($amendment->change);
        } catch (UnfitChange $e) {
            throw FormatException::at(
                '/'.($amendment->number - 1)."/values/{$e->field->value}",
                $e->getMessage(),
            );
        }
    }
}
