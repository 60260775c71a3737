<?php

declare(strict_types=1);

namespace App\Http\Requests\Figures;

use App\Formats\Documents;
use App\Http\Requests\StudioRequest;
use stdClass;

/** A changed map, made from the one that was looked at. */
final class MapEdited extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'document' => ['required', 'array'],
            'pictures' => ['nullable', 'array:front,back'],
            'pictures.front' => ['nullable', 'string', 'exists:pictures,sha256'],
            'pictures.back' => ['nullable', 'string', 'exists:pictures,sha256'],
        ];
    }

    /** As `ordotype/sculpt@1`. */
    public function document(): stdClass
    {
        return Documents::sculpt($this->object('document'));
    }

    /** @return array{front?: string|null, back?: string|null} hashes of pictures */
    public function pictures(): array
    {
        return (array) ($this->validated('pictures') ?? []);
    }
}
