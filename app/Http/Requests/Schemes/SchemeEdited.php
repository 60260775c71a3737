<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Formats\Documents;
use App\Http\Requests\StudioRequest;
use stdClass;

/** A new version of a scheme, made from the one that was looked at. */
final class SchemeEdited extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'number' => ['required', 'integer'],
            'document' => ['required', 'array'],
            'note' => ['nullable', 'string', 'max:1000'],
            'order' => ['nullable', 'integer'],
        ];
    }

    /** As `ordotype/scheme@1`. */
    public function document(): stdClass
    {
        return Documents::scheme($this->object('document'));
    }

    /** The version that was looked at. */
    public function from(): int
    {
        return $this->number('number');
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }

    /** The order whose figures it is shown on. */
    public function order(): ?int
    {
        return $this->numberOrNull('order');
    }
}
