<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Policies\Rights;
use Illuminate\Validation\Rule;

/** A token for a script, with some of the rights of the person. */
final class NewToken extends OwnAccount
{
    private const DAYS = 90;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'abilities' => ['required', 'array', 'min:1'],
            'abilities.*' => ['string', Rule::in(Rights::of($this->person()))],
            'days' => ['nullable', 'integer', 'min:1', 'max:366'],
        ];
    }

    public function tokenName(): string
    {
        return $this->text('name');
    }

    /** So long it lets its holder in. */
    public function days(): int
    {
        return $this->integer('days', self::DAYS);
    }

    /** @return list<string> */
    public function abilities(): array
    {
        return $this->texts('abilities');
    }
}
