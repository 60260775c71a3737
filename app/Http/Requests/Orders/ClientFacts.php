<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** What is kept of a client, as somebody wants it now; what is not sent stays. */
final class ClientFacts extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'name' => ['sometimes', 'required', 'string', 'max:200'],
            'reach' => ['sometimes', 'nullable', 'string', 'max:500'],
            'notes' => ['sometimes', 'nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array{name?: string, reach?: string|null, notes?: string|null} only what was sent */
    public function facts(): array
    {
        $facts = [];
        foreach (['reach', 'notes'] as $fact) {
            if ($this->has($fact)) {
                $facts[$fact] = $this->textOrNull($fact);
            }
        }

        return $facts + ($this->has('name') ? ['name' => $this->text('name')] : []);
    }
}
