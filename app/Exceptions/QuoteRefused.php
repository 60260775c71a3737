<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\QuoteFault;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\QuoteWords;

/** What a quote does not do as it stands. */
final class QuoteRefused extends Refusal
{
    /** @param  non-empty-list<array{QuoteFault, string|null}>  $faults  each with the unit it is about */
    public static function faults(array $faults): self
    {
        $words = array_map(fn (array $f) => QuoteWords::fault($f[0], $f[1]), $faults);

        return new self(implode(' ', $words), '', 409);
    }

    /** A field that says what cannot be. */
    public static function named(string $why, string $pointer): self
    {
        return new self($why, $pointer);
    }

    /** A newer version went out meanwhile. */
    public static function newer(int $number): self
    {
        return new self("There is a newer version of this quote, number $number: look at that one.", '/version', 409);
    }

    /** A version is answered once. */
    public static function answered(QuoteState $state): self
    {
        $words = QuoteWords::isAnswered($state);

        return new self($words, '/version', 409);
    }

    /** Its days are over. */
    public static function runOut(): self
    {
        return new self('The days of this quote have run out. Ask the studio to renew it.', '/version', 409);
    }

    /** A yes is somebody's who may give one. */
    public static function notOfAge(): self
    {
        return new self('Say that you are of age, or that a parent agrees.', '/of_age');
    }

    /** There is no version that somebody said yes to. */
    public static function nothingAgreed(): self
    {
        return new self('No version of a quote was accepted yet.', '', 409);
    }

    /** What moved the price is said once. */
    public static function settled(): self
    {
        return new self('What moved the price was said already. What changes now is a new version.', '', 409);
    }

    /** What lies with the models is known when they are there. */
    public static function notReceived(): self
    {
        return new self('Receive the models first: what moves the price is settled then.', '', 409);
    }

    /** No more is quoted of what has left the studio. */
    public static function over(OrderStatus $status): self
    {
        $words = QuoteWords::noMore($status);

        return new self($words, '', 409);
    }

    /** Nothing on this machine sends letters. */
    public static function noMailer(): self
    {
        return new self('No mailer is set up here: copy the words and send them yourself.', '', 409);
    }

    /** An amount that pays for nothing. */
    public static function budgetTooSmall(): self
    {
        return new self('Not even the lowest tier of every unit fits this amount.', '/amount', 409);
    }
}
