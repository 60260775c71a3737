<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Http\Requests\OldRevision;

/** Somebody is set aside, or let in again. */
final class PersonAside extends OldRevision
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + ['aside' => ['required', 'boolean']];
    }

    public function aside(): bool
    {
        return $this->boolean('aside');
    }
}
