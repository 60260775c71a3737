<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A page of a list: where it goes on, and what is looked for in it. */
class ListAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'cursor' => ['nullable', 'string', 'max:4000'],
            'find' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** As the page before gave it; null: the first page. */
    public function cursor(): ?string
    {
        return $this->textOrNull('cursor');
    }

    public function find(): ?string
    {
        $find = trim((string) $this->textOrNull('find'));

        return $find === '' ? null : $find;
    }
}
