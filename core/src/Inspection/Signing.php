<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/**
 * Who may sign a piece. Nobody signs own work; if everyone who may sign painted on the piece, one of them signs after
 * another person has answered the mandatory questions, or, in a studio of one, alone. The record says which.
 */
final class Signing
{
    /**
     * @param  list<int>  $maySign  everyone who may sign
     * @param  list<int>  $painters  who did work of the families spray to wear on it, repairs included
     * @param  list<int>  $answered  who answered its mandatory questions
     * @param  int  $people  how many people the studio has
     */
    public static function by(int $signer, array $maySign, array $painters, array $answered, int $people): SigningRule
    {
        if (! in_array($signer, $maySign, true)) {
            return SigningRule::NoRight;
        }
        if (! in_array($signer, $painters, true)) {
            return SigningRule::NotOwnWork;
        }
        if (array_diff($maySign, $painters) !== []) {
            return SigningRule::SomebodyElseMay;
        }
        if ($people === 1) {
            return SigningRule::Alone;
        }

        return $answered !== [] && ! in_array($signer, $answered, true)
            ? SigningRule::OthersAnswered
            : SigningRule::OthersMustAnswer;
    }
}
