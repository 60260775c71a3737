<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;

/** Where three points of the figure and the grey card lie in a photograph, in its pixels. */
final class PhotographPlaced extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $point = ['required', 'array', 'list', 'size:2'];

        return [
            'revision' => ['required', 'integer', 'min:0'],
            'base_left' => $point,
            'base_right' => $point,
            'top' => $point,
            'base_left.*' => ['numeric', 'between:-20000,20000'],
            'base_right.*' => ['numeric', 'between:-20000,20000'],
            'top.*' => ['numeric', 'between:-20000,20000'],
            'card' => ['nullable', 'array', 'list', 'size:4'],
            'card.*' => ['integer', 'between:0,20000'],
            'shifts' => ['nullable', 'array', 'max:200'],
            'shifts.*' => ['array', 'list', 'size:2'],
            'shifts.*.*' => ['numeric', 'between:-2000,2000'],
        ];
    }

    /**
     * @return array{base_left: array{float, float}, base_right: array{float, float}, top: array{float, float},
     *     card: list<int>|null, shifts?: array<string, list<float>>}
     */
    public function placement(): array
    {
        $card = $this->validated('card');
        $whole = fn (mixed $n): int => is_numeric($n) ? (int) $n : 0;

        return [
            'base_left' => $this->point('base_left'),
            'base_right' => $this->point('base_right'),
            'top' => $this->point('top'),
            'card' => is_array($card) ? array_map($whole, array_values($card)) : null,
        ] + $this->shifts();
    }

    /** @return array{shifts?: array<string, list<float>>} */
    private function shifts(): array
    {
        $shifts = [];
        foreach ((array) ($this->validated('shifts') ?? []) as $area => $by) {
            $shifts[(string) $area] = array_map(
                fn (mixed $n) => is_numeric($n) ? (float) $n : 0.0,
                array_values((array) $by),
            );
        }

        return $shifts === [] ? [] : ['shifts' => $shifts];
    }

    /** @return array{float, float} */
    private function point(string $key): array
    {
        [$x, $y] = $this->texts($key) + ['0', '0'];

        return [(float) $x, (float) $y];
    }
}
