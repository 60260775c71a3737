<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Tier;

/** Tiers that work is ordered at or moved to. */
final class TierRefused extends Refusal
{
    /** No tier of the standard has that key. */
    public static function noSuchTier(string $tier, string $pointer, ?int $version = null): self
    {
        return new self(
            $version === null
                ? "There is no tier \"$tier\"."
                : "Version $version of the standard has no tier \"$tier\".",
            $pointer,
        );
    }

    /** Work is raised to a higher tier only. */
    public static function notHigher(Tier $tier, Tier $from): self
    {
        return new self("$tier->name is not higher than $from->name.", '/tier');
    }

    /** An open tier has no figures to plan by. */
    public static function quotedByHand(Tier $tier): self
    {
        return new self(
            "$tier->name is quoted by hand: agree with the client what is done, as clauses of this order, ".
                'and it has a plan.',
            '/tier',
        );
    }

    /** A retired tier takes no new work. */
    public static function retired(Tier $tier): self
    {
        return new self("$tier->name is retired: it stays readable, and nothing new is ordered at it.", '/tier');
    }
}
