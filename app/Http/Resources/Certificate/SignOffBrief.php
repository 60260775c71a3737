<?php

declare(strict_types=1);

namespace App\Http\Resources\Certificate;

use App\Models\Piece;
use App\Models\SignOff;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A record of the sign-off chain as its list shows it.
 *
 * @property-read SignOff $resource
 */
final class SignOffBrief extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'number' => $this->resource->number,
            'kind' => $this->resource->kind,
            'hash' => $this->resource->hash,
            'signed_at' => $this->resource->signed_at->toIso8601ZuluString(),
            'by' => $this->resource->user->name,
            'pieces' => array_values($this->resource->pieces->map(fn (Piece $p) => $p->code)->all()),
        ];
    }
}
