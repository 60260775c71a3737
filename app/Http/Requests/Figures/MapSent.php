<?php

declare(strict_types=1);

namespace App\Http\Requests\Figures;

use App\Formats\Documents;
use App\Http\Requests\StudioRequest;
use stdClass;

/** A map of a figure. */
final class MapSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array'],
        ];
    }

    /** As `ordotype/sculpt@1`. */
    public function document(): stdClass
    {
        return Documents::sculpt($this->object('document'));
    }
}
