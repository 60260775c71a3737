<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\OldRevision;

/** A version that goes out. */
final class QuoteSent extends OldRevision
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + ['until' => ['nullable', 'date_format:Y-m-d']];
    }

    /** The last day it holds; null: the studio's days from today. */
    public function until(): ?string
    {
        return $this->textOrNull('until');
    }
}
