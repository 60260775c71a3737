<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

/** Who paints a batch, in which hours, from now on. */
final class BatchChanged extends BatchAsked
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['revision' => ['required', 'integer', 'min:0'], ...$this->hands()];
    }
}
