<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** Techniques chosen by hand for areas of a unit or of one of its pieces. */
final class PlanEdits extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'piece' => ['nullable', 'integer'],
            'edits' => ['present', 'array'],
            'edits.*' => ['array'],
            'edits.*.*.technique' => ['required', 'string'],
            'edits.*.*.passes' => ['required', 'integer', 'min:1', 'max:20'],
            'edits.*.*.extent' => ['required', 'in:spot,prominent,full'],
        ];
    }

    /** The number of the model they are for; none: the whole unit. */
    public function piece(): ?int
    {
        return $this->numberOrNull('piece');
    }

    /** @return array<string, list<array{technique: string, passes: int, extent: string}>> by area */
    public function edits(): array
    {
        $edits = [];
        foreach ((array) $this->validated('edits') as $area => $list) {
            $edits[(string) $area] = array_map(
                fn (array $e) => [
                    'technique' => (string) $e['technique'],
                    'passes' => (int) $e['passes'],
                    'extent' => (string) $e['extent'],
                ],
                array_values((array) $list),
            );
        }

        return $edits;
    }
}
