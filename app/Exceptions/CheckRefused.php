<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\Terms;

/** Answers, faults and verdicts of a check, and the eye's training. */
final class CheckRefused extends Refusal
{
    /** The question is not about that area. */
    public static function areaNotAskedFor(string $area, string $pointer): self
    {
        return new self('That is not an area this question is about.', $pointer);
    }

    /** A closed check stays as it was closed. */
    public static function closed(): self
    {
        return new self('This check is closed.', '', 409);
    }

    /** A critical fault is never conceded. */
    public static function criticalFaultStays(): self
    {
        return new self('A critical fault is never accepted.', '/verdict', 409);
    }

    /** What the check found does not pass. */
    public static function doesNotPass(Verdict $state): self
    {
        return new self('It does not pass: '.CheckWords::verdict($state).'.', '/verdict', 409);
    }

    /** The question does not ask for that fault. */
    public static function faultNotAskedFor(string $fault, string $pointer): self
    {
        return new self("$fault is not a fault this question asks for.", $pointer);
    }

    /** A noted fault goes by hand, not by another answer. */
    public static function faultStays(string $question): self
    {
        return new self('A fault is noted there: it stays until somebody takes it away.', '/answer', 409);
    }

    /** Two people do not look at one model at the same time unless one takes it over. */
    public static function heldByAnother(string $name): self
    {
        return new self("$name is looking at this model just now. Take it over, or wait.", '', 409);
    }

    /** Only people with the right to sign accept a piece as it is. */
    public static function mayNotConcede(): self
    {
        return new self('Only people who may sign accept a piece as it is.', '/verdict', 403);
    }

    /** A fault of an area names the area. */
    public static function noAreaNamed(string $pointer): self
    {
        return new self('Say on which area it is.', $pointer);
    }

    /** An answer that finds something wrong names the fault. */
    public static function noFaultNamed(): self
    {
        return new self('Say which fault it is.', '/faults');
    }

    /** The check has no such question. */
    public static function notAsked(string $question): self
    {
        return new self('That is not asked in this check.', '/question', 404);
    }

    /** Only a piece that is offered is checked. */
    public static function notOffered(Piece $piece): self
    {
        return new self(
            "Model $piece->number is not offered to the check: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '',
            409,
        );
    }

    /** A drill wants a figure with outlines and a tier that is offered. */
    public static function nothingToDraw(): self
    {
        return new self('The eye is trained on a figure with outlines, at a tier that is offered.', '/tier');
    }

    /** Work is sent back for a fault. */
    public static function nothingToRepair(): self
    {
        return new self('There is no fault to send it back for.', '/verdict', 409);
    }

    /** Where the tier wants every piece checked, or there are too few for the tables, nothing is drawn. */
    public static function nothingToSample(): self
    {
        return new self(
            'Every model is checked here: the tier draws no sample, or too few wait together.',
            '',
            409,
        );
    }

    /** Nobody checks or signs what they painted. */
    public static function ownWork(Piece $piece): self
    {
        return new self("You painted on model $piece->number: somebody else checks it.", '', 403);
    }

    /** A piece is not conceded before all that must be looked at was. */
    public static function questionsOpen(): self
    {
        return new self('Some mandatory questions have no answer yet.', '/verdict', 409);
    }
}
