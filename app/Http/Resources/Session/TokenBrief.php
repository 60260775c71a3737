<?php

declare(strict_types=1);

namespace App\Http\Resources\Session;

use App\Models\AccessToken;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A token by its name and rights, never itself.
 *
 * @property-read AccessToken $resource
 */
final class TokenBrief extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'name' => $this->resource->name,
            'abilities' => $this->resource->abilities,
            'last_used_at' => $this->resource->last_used_at?->toIso8601ZuluString(),
            'expires_at' => $this->resource->expires_at?->toIso8601ZuluString(),
            'expired' => $this->resource->expires_at?->isPast() === true,
        ];
    }
}
