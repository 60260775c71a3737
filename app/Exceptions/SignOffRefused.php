<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\Terms;

/** Signing pieces and withdrawing what was signed. */
final class SignOffRefused extends Refusal
{
    /** The piece cannot be signed by this person. */
    public static function mayNotSign(Piece $piece, string $why): self
    {
        return new self("Model $piece->number: $why", '/pieces', 403);
    }

    /** Only what passed its check is signed. */
    public static function notPassed(Piece $piece): self
    {
        return new self(
            "Model $piece->number ($piece->code) has not passed its check: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '/pieces',
            409,
        );
    }

    /** No pieces were named. */
    public static function nothingToSign(): self
    {
        return new self('There is nothing to sign.', '/pieces');
    }

    /** Each unit is signed by itself. */
    public static function piecesOfSeveralUnits(): self
    {
        return new self('The pieces are of more than one unit: sign each unit by itself.', '/pieces');
    }

    /** The sign-off was withdrawn or replaced. */
    public static function doesNotHold(int $number): self
    {
        return new self("Sign-off $number does not hold any more.", '', 409);
    }

    /** A withdrawal cannot be withdrawn. */
    public static function withdrawalStays(): self
    {
        return new self('A withdrawal cannot be withdrawn: check and sign the pieces again.', '', 409);
    }
}
