<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Actions\Schemes\ShelveTable;
use App\Http\Requests\StudioRequest;

/** A table of paints, to be read or to be put on the shelf; without one the starter rack. */
final class TableOfPaints extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['nullable', 'string', 'max:1000000'],
            'columns' => ['sometimes', 'array:name,hex,kind,hiding,ml'],
            'columns.*' => ['nullable', 'string', 'max:200'],
            'keep' => ['required', 'boolean'],
        ];
    }

    public function table(): string
    {
        return $this->textOrNull('text') ?? (string) file_get_contents(database_path(ShelveTable::STARTER));
    }

    /** @return array<string, string> */
    public function columns(): array
    {
        $said = [];
        foreach ((array) $this->validated('columns') as $field => $header) {
            if (is_string($header) && $header !== '') {
                $said[(string) $field] = $header;
            }
        }

        return $said;
    }

    public function keep(): bool
    {
        return $this->boolean('keep');
    }
}
