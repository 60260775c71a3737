<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** Gates on the bench, and the test model as one of them. */
final class GateRefused extends Refusal
{
    /** A piece does not go on past a gate that refused it. */
    public static function refusedThere(Piece $piece, string $gate, string $note): self
    {
        return new self(
            "Model $piece->number was refused at the gate “{$gate}”: $note It is put right and looked at again first.",
            '/steps',
            409,
        );
    }

    /** A unit's test model is named before it is judged. */
    public static function noTestModel(): self
    {
        return new self('No model of this unit is its test model: name one first.', '/passed', 409);
    }

    /** A gate is answered when a piece stands at it: not before, and not when it has gone on. */
    public static function notThere(Piece $piece, string $gate): self
    {
        return new self("Model $piece->number does not stand at the gate “{$gate}” now.", '/pieces', 409);
    }

    /** A test model does not settle colours that were rejected on it and changed since. */
    public static function coloursWereRejected(): self
    {
        return new self(
            'The colours that it was painted in were rejected and changed since: take the new ones over first.',
            '/passed',
            409,
        );
    }

    /** One model settles the colours of the rest, and goes ahead. */
    public static function testModelFirst(Piece $piece): self
    {
        return new self(
            "Model $piece->number waits: the test model is painted first, and looked at, before the rest gets colours.",
            '/steps',
            409,
        );
    }

    /** Nothing is painted in colours that the unit's test model was rejected in. */
    public static function waitsForTestModel(Piece $piece, string $note): self
    {
        return new self(
            "Model $piece->number waits: the test model was rejected. $note ".
                'The colours are changed and taken over first.',
            '/steps',
            409,
        );
    }
}
