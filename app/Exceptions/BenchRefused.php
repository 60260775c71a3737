<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use App\Models\Unit;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Words\Terms;

/** Work on released pieces: marks, offers, moves, raising, variants. */
final class BenchRefused extends Refusal
{
    /** The unit is on the bench: its plan is what it was released with. */
    public static function alreadyReleased(): self
    {
        return new self('This unit is on the bench already: its plan stays as it was released.', '', 409);
    }

    /** What was ended is not laid out any more. */
    public static function batchEnded(): self
    {
        return new self('This batch was ended: lay its models out as a new one.', '', 409);
    }

    /** A model is painted in one batch at a time. */
    public static function inAnotherBatch(Piece $piece): self
    {
        return new self("Model $piece->number ($piece->code) is in another batch: end that first.", '/units', 409);
    }

    /** Nothing of these units is worked on. */
    public static function nothingToPaint(): self
    {
        return new self('None of these units has models on the bench.', '/units', 409);
    }

    /** The piece is not on the bench any more. */
    public static function leftTheBench(Piece $piece): self
    {
        return new self("Model $piece->number is not on the bench any more.", '', 409);
    }

    /** A unit that is not on the bench is moved to a tier; nothing is there yet that could be raised. */
    public static function moveInsteadOfRaising(Unit $unit): self
    {
        return new self('This unit is not on the bench yet: move it to the tier instead.', '', 409);
    }

    /** Only a mark that was made can be taken back. */
    public static function neverMarked(string $step): self
    {
        return new self("None of these models was ever marked for the step $step.", '/steps', 404);
    }

    /** A unit takes over colours that are newer than its own. */
    public static function noNewerColours(): self
    {
        return new self('The scheme has no newer colours than those that the unit is painted in.', '', 409);
    }

    /** Some of the entries are not of this unit, or were taken back. */
    public static function noSuchEntry(): self
    {
        return new self('What was marked there is not there any more.', '/logs', 404);
    }

    /** Everybody corrects their own minutes; the lead everybody's. */
    public static function timeOfAnother(): self
    {
        return new self('Somebody else marked that: only they, or the lead, correct its minutes.', '', 403);
    }

    /** Some of the pieces do not exist. */
    public static function noSuchPieces(): self
    {
        return new self('One of the models does not exist.', '/pieces', 404);
    }

    /** A finished model is only given what goes over its paint there. */
    public static function noSuchVariant(string $area): self
    {
        return new self("That cannot be added late on the $area.", '/technique');
    }

    /** Only a piece that is worked on is offered or taken back. */
    public static function notBeingWorkedOn(Piece $piece): self
    {
        return new self(
            "Model $piece->number is not being worked on: it is ".Terms::stage(Stage::from($piece->stage)).'.',
            '',
            409,
        );
    }

    /** The piece is not on the bench. */
    public static function notOnTheBench(Piece $piece): self
    {
        return new self(
            "Model $piece->number ($piece->code) is not on the bench: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '/pieces',
            409,
        );
    }

    /** The unit is not on the bench. */
    public static function notReleased(Unit $unit): self
    {
        return new self('This unit has not been released to the bench yet.', '', 409);
    }

    /** The piece wants no such step. */
    public static function noSuchStep(Piece $piece, string $step): self
    {
        return new self("Model $piece->number has no such step.", '/steps');
    }

    /** What is there cannot be raised to the tier as things stand. */
    public static function raisingInConflict(string $why): self
    {
        return new self("It cannot be raised without an amendment: $why.", '', 409);
    }

    /** A covering step of a repair waits for what it covers. */
    public static function repairComesFirst(Piece $piece, string $step, string $first): self
    {
        return new self(
            "$step covers what is still to be repaired on model $piece->number: $first comes first.",
            '/steps',
            409,
        );
    }

    /**
     * Pieces that are signed off stay as they were signed.
     *
     * @param  list<int>  $numbers of models
     */
    public static function signedOff(array $numbers): self
    {
        return new self(
            'Model '.implode(', ', $numbers).' is signed off: withdraw the sign-off or take up a claim first.',
            '',
            409,
        );
    }

    /** A piece of this stage cannot be moved so. */
    public static function stageForbidsMove(Piece $piece, StageMove $move): self
    {
        return new self(
            "Model $piece->number ($piece->code) is ".
                Terms::stage(Stage::from($piece->stage)).
                ': that does not go with “'.
                Terms::move($move).
                '”.',
            '/move',
            409,
        );
    }

    /** A piece is offered when every step was done or left out with a reason. */
    public static function stepsOpen(Piece $piece, int $open, string $first): self
    {
        $steps = $open === 1 ? '1 step is' : "$open steps are";

        return new self(
            "Model $piece->number: $steps still to be done or left out with a reason, first: $first.",
            '/pieces',
            409,
        );
    }

    /** A unit is taken back from the bench only while nothing was done. */
    public static function workHasBegun(Unit $unit): self
    {
        return new self(
            'Work on it has begun: it stays on the bench. Take the marks back first, or put its models on hold.',
            '',
            409,
        );
    }
}
