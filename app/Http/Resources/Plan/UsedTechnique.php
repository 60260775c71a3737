<?php

declare(strict_types=1);

namespace App\Http\Resources\Plan;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Ordotype\Core\Planning\Choice\ChosenTechnique;

/**
 * A technique as it was chosen for an area: passes, how far it goes, minutes.
 *
 * @property-read ChosenTechnique $resource
 */
final class UsedTechnique extends JsonResource
{
    /** @return array{technique: string, name: string, passes: int, extent: string, minutes: float} */
    public function toArray(Request $request): array
    {
        return [
            'technique' => $this->resource->technique->key,
            'name' => $this->resource->technique->name,
            'passes' => $this->resource->passes,
            'extent' => $this->resource->extent->word(),
            'minutes' => round($this->resource->minutes(), 2),
        ];
    }
}
