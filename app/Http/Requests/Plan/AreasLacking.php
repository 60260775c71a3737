<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** Areas of the map that one piece does not have. */
final class AreasLacking extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'lacks' => ['present', 'array', 'max:200'],
            'lacks.*' => ['string', 'max:64'],
        ];
    }

    /** @return list<string> keys of areas */
    public function lacks(): array
    {
        return $this->texts('lacks');
    }
}
