<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Policies\Rights;
use Illuminate\Validation\Rule;

/** A token for a script, with some of the rights of the person. */
final class NewToken extends OwnAccount
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'abilities' => ['required', 'array', 'min:1'],
            'abilities.*' => ['string', Rule::in(Rights::of($this->person()))],
        ];
    }

    public function tokenName(): string
    {
        return $this->text('name');
    }

    /** @return list<string> */
    public function abilities(): array
    {
        return $this->texts('abilities');
    }
}
