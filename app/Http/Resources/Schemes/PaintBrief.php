<?php

declare(strict_types=1);

namespace App\Http\Resources\Schemes;

use App\Models\Paint;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property-read Paint $resource */
final class PaintBrief extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'name' => $this->resource->name,
            'kind' => $this->resource->kind,
            'hex' => $this->resource->hex,
            'hiding' => $this->resource->hiding,
            'ml' => (float) $this->resource->ml,
            'price' => $this->resource->price,
            'pot_ml' => (float) $this->resource->pot_ml,
        ];
    }
}
