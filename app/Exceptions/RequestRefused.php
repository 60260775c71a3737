<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A request as it was sent, whatever it asks for. */
final class RequestRefused extends Refusal
{
    /** The key of a write that must happen once is not well formed. */
    public static function badIdempotencyKey(): self
    {
        return new self('Idempotency-Key must be 8 to 100 printable characters.', '', 400);
    }

    /** More was sent than is read, by its bytes or by the number of its values. */
    public static function bodyTooLarge(string $than): self
    {
        return new self("What was sent is larger than $than; nothing of it was taken.", '', 413);
    }

    /** A cursor that this list, in this order, never gave out. */
    public static function cursorForeign(): self
    {
        return new self('This is no place in this list. Read the list from its beginning.', '/cursor');
    }

    /** Somebody asks for a machine of another name. */
    public static function hostUnknown(): self
    {
        return new self(
            'This studio is not known by that address. Whoever set it up can allow it (ORDOTYPE_HOSTS).',
            '',
            400,
        );
    }

    /** One key was used for two different requests. */
    public static function idempotencyKeyReused(): self
    {
        return new self('This Idempotency-Key was used for another request.');
    }

    /** A share link that expired, was withdrawn or was never made; which of these is not told. */
    public static function linkShowsNothing(): self
    {
        return new self('This link shows nothing any more. Ask the studio for a new one.', '', 404);
    }

    /** The disk is full, or is there to be read only. */
    public static function noRoom(): self
    {
        return new self(
            'The disk of the studio is full, or cannot be written to. Nothing was changed, and what you typed stays '.
                'here: try again when there is room. Whoever runs the server sees more with ./ordotype doctor.',
            '',
            507,
        );
    }

    /** A part of the body must be a JSON object. */
    public static function notAnObject(string $key): self
    {
        return new self("\"$key\" must be an object.", "/$key");
    }

    /** Something that wants a reason came without one. */
    public static function reasonMissing(string $pointer, string $ask = 'Say why.'): self
    {
        return new self($ask, $pointer);
    }

    /** The same request is on its way. */
    public static function stillBeingAnswered(): self
    {
        return new self('The same request is being answered just now.', '', 409);
    }
}
