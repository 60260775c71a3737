<?php

declare(strict_types=1);

namespace App\Http\Resources\Sharing;

use App\Models\ShareLink;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A share link: what it shows and how long it holds, never its secret.
 *
 * @property-read ShareLink $resource
 */
final class ShareLinkBrief extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'sculpt' => $this->resource->shows['sculpt'] ?? '',
            'version' => $this->resource->shows['version'] ?? 0,
            'prices' => (bool) ($this->resource->shows['prices'] ?? false),
            'expires_at' => $this->resource->expires_at->toIso8601ZuluString(),
            'holds' => $this->resource->holds(),
        ];
    }
}
