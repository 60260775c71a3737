<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Formats\Documents;
use App\Http\Requests\StudioRequest;
use stdClass;

/** A scheme that is not kept, to be held against figures. */
final class SchemeTried extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array'],
            'order' => ['nullable', 'integer'],
        ];
    }

    /** As `ordotype/scheme@1`. */
    public function document(): stdClass
    {
        return Documents::scheme($this->object('document'));
    }

    /** The order whose figures it is shown on. */
    public function order(): ?int
    {
        return $this->numberOrNull('order');
    }
}
