<?php

declare(strict_types=1);

namespace App\Http\Resources\Settings;

use App\Models\Import;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property-read Import $resource */
final class ImportState extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'state' => $this->resource->state,
            'done' => $this->resource->done,
            'all' => $this->resource->all,
            'said' => $this->resource->said,
            'problems' => $this->resource->problems ?? [],
        ];
    }
}
