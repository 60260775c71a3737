<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Http\Requests\StudioRequest;

/** A password that somebody sets, by a link or beside the one of today. */
final class NewPassword extends StudioRequest
{
    public const LEAST = 12;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'current' => ['sometimes', 'required', 'string', 'max:500'],
            'password' => ['required', 'string', 'min:'.self::LEAST, 'max:500'],
        ];
    }

    /** The one of today; empty where none was sent. */
    public function current(): string
    {
        return $this->text('current');
    }

    public function next(): string
    {
        return $this->text('password');
    }
}
