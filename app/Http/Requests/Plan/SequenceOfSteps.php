<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** The order in which the steps of a unit are to be done. */
final class SequenceOfSteps extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'sequence' => ['present', 'array', 'max:2000'],
            'sequence.*' => ['string', 'max:190'],
        ];
    }

    /** @return list<string> keys of steps */
    public function sequence(): array
    {
        return $this->texts('sequence');
    }
}
