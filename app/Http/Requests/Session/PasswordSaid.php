<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

/** The password of today, before something that opens or closes a door. */
final class PasswordSaid extends OwnAccount
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['current' => ['required', 'string', 'max:500']];
    }

    public function current(): string
    {
        return $this->text('current');
    }
}
