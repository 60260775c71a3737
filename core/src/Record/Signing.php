<?php

declare(strict_types=1);

namespace Ordotype\Core\Record;

/**
 * Who may sign a piece. Nobody signs own work; if everyone who may sign painted on the piece, one of them signs after
 * another person has answered the mandatory questions, or, in a studio of one, alone. The record says which.
 */
final readonly class Signing
{
    private function __construct(public bool $allowed, public string $words)
    {
    }

    /**
     * @param  list<int>  $maySign  everyone who may sign
     * @param  list<int>  $painters  who did work of the families spray to wear on it, repairs included
     * @param  list<int>  $answered  who answered its mandatory questions
     * @param  int  $people  how many people the studio has
     */
    public static function by(int $signer, array $maySign, array $painters, array $answered, int $people): self
    {
        if (! in_array($signer, $maySign, true)) {
            return new self(false, 'You have not been given the right to sign.');
        }
        if (! in_array($signer, $painters, true)) {
            return new self(true, 'signed by someone who did not paint on it');
        }
        if (array_diff($maySign, $painters) !== []) {
            return new self(false, 'You painted on it, and somebody else may sign it.');
        }
        if ($people === 1) {
            return new self(true, 'own work, signed alone in a studio of one');
        }
        if ($answered !== [] && ! in_array($signer, $answered, true)) {
            return new self(
                true,
                'own work: everyone who may sign painted on it; another person answered the mandatory questions',
            );
        }

        return new self(
            false,
            'You painted on it, and so did everyone else who may sign: another person must '.
                'answer its mandatory questions first.',
        );
    }
}
