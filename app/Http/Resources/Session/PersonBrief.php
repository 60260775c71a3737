<?php

declare(strict_types=1);

namespace App\Http\Resources\Session;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Somebody who works here, as a lead sees them.
 *
 * @property-read User $resource
 */
final class PersonBrief extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $person = $this->resource;

        return [
            'id' => $person->id,
            'revision' => $person->revision,
            'name' => $person->name,
            'email' => $person->email,
            'role' => $person->role->value,
            'may_sign' => $person->may_sign,
            'skill' => $person->skill,
            'hours_week' => $person->hours_week === null ? null : (float) $person->hours_week,
            'largest_batch' => $person->largest_batch,
            'away' => $person->away ?? [],
            'joined' => $person->joined_at !== null,
            'set_aside' => $person->set_aside_at !== null,
            'second_factor' => $person->second_factor_since !== null,
        ];
    }
}
