<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

/** A code of a device, while a second factor is set up. */
final class CodeSaid extends OwnAccount
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:40']];
    }

    public function code(): string
    {
        return $this->text('code');
    }
}
