<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Formats\Documents;
use App\Http\Requests\StudioRequest;
use stdClass;

/** A new scheme. */
final class NewScheme extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array'],
            'fill' => ['sometimes', 'boolean'],
        ];
    }

    /** Whether slots without colours get some from the shelf. */
    public function fill(): bool
    {
        return $this->boolean('fill');
    }

    /** As `ordotype/scheme@1`. */
    public function document(): stdClass
    {
        return Documents::scheme($this->object('document'));
    }
}
