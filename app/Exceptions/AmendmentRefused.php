<?php

declare(strict_types=1);

namespace App\Exceptions;

/** What is agreed beside the standard, for the studio, an order, a unit or a piece. */
final class AmendmentRefused extends Refusal
{
    /** An amendment of one piece names the piece. */
    public static function noPieceNamed(): self
    {
        return new self('Say which model it is for.', '/piece');
    }

    /** What holds for the whole order cannot change once a unit of it was released. */
    public static function orderPartlyOnTheBench(): self
    {
        return new self(
            'Another unit of this order is on the bench: what holds for the whole order stays as it is. '.
                'Amend the unit instead.',
            '',
            409,
        );
    }

    /** What holds for one piece cannot name others. */
    public static function pieceNamesPieces(): self
    {
        return new self('An amendment of one model holds on that model alone.', '/amendment/on');
    }

    /** An amendment holds for the studio, an order, a unit or a piece. */
    public static function unknownLevel(): self
    {
        return new self('The level must be studio, order, unit or piece.', '/amendment/level');
    }
}
