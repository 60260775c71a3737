<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\User;

/** People, their passwords, invitations and tokens. */
final class AccountRefused extends Refusal
{
    /** Two people would have one e-mail address. */
    public static function addressTaken(string $email): self
    {
        return new self("Somebody in this studio has the address $email already.", '/email');
    }

    /** Nobody would be left to look after the studio. */
    public static function lastLead(User $person): self
    {
        return new self(
            "$person->name is the only lead at work who may sign: make somebody else one first.",
            '/role',
            409,
        );
    }

    /** A link that was used, withdrawn, replaced, or never was. */
    public static function linkUsedUp(): self
    {
        return new self('This link no longer opens anything. Ask the lead for a new one.', '', 404);
    }

    /** Its code changes every half minute, and each opens once. */
    public static function codeWrong(): self
    {
        return new self('This is not the code that the device shows now. Wait for the next one and say that.', '/code');
    }

    /** Nobody has two. */
    public static function hasSecondFactor(): self
    {
        return new self('There is a second factor already: take it away first.', '', 409);
    }

    /** The lead wants one of everybody of this role. */
    public static function secondFactorWanted(): self
    {
        return new self('Your role wants a second factor: set one up first, on the page of your account.', '', 403);
    }

    /** One that others would find by trying. */
    public static function passwordGuessed(): self
    {
        return new self(
            'This password is soon guessed: it is made of what is tried first. Three or four words that have nothing '.
                'to do with each other are hard to guess and easy to keep.',
            '/password',
        );
    }

    /** The password that somebody has today is another one. */
    public static function passwordWrong(): self
    {
        return new self('That is not your password of today.', '/current');
    }

    /** A token cannot manage tokens. */
    public static function tokensArePersonal(): self
    {
        return new self('Tokens are managed by the person, not by a token.', '', 403);
    }

    /** A token that is not known, or was revoked. */
    public static function unknownToken(): self
    {
        return new self('This token is not known, or was revoked.', '', 401);
    }
}
