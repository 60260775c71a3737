<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The picture cannot be decoded. */
final class PictureDamaged extends Refusal
{
    public function __construct()
    {
        parent::__construct('The picture is damaged and cannot be read.', '/picture');
    }
}
