<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Http\Requests\StudioRequest;

/** Somebody at the door. */
final class SignIn extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:200'],
            'password' => ['required', 'string', 'max:500'],
            'code' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** Of the second factor; empty where none was sent. */
    public function code(): string
    {
        return $this->text('code');
    }

    /** @return array{email: string, password: string} */
    public function credentials(): array
    {
        return ['email' => $this->text('email'), 'password' => $this->text('password')];
    }
}
