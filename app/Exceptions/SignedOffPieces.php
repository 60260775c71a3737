<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Pieces that are signed off stay as they were signed. */
final class SignedOffPieces extends Refusal
{
    /** @param  list<int>  $numbers  of models */
    public function __construct(public readonly array $numbers)
    {
        parent::__construct(
            'Model '.implode(', ', $numbers).' is signed off: withdraw the sign-off or take up a claim first.',
            '',
            409,
        );
    }
}
