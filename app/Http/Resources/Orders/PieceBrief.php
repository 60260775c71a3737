<?php

declare(strict_types=1);

namespace App\Http\Resources\Orders;

use App\Models\Piece;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A piece by its number, code and stage.
 *
 * @property-read Piece $resource
 */
final class PieceBrief extends JsonResource
{
    /** @return array{id: int, number: int, code: string, stage: string} */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'number' => $this->resource->number,
            'code' => $this->resource->code,
            'stage' => $this->resource->stage,
        ];
    }
}
