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
