<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Actions\Check\JudgeFaults;
use App\Http\Requests\StudioRequest;

/**
 * A fault as it is sent: alone, to hear what it counts, or with an answer.
 *
 * @phpstan-import-type Found from JudgeFaults
 */
final class FaultSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['question' => ['required', 'string', 'max:190']] + self::fields('');
    }

    /**
     * @param  string  $at  before each name
     * @return array<string, mixed>
     */
    public static function fields(string $at): array
    {
        return [
            "{$at}fault" => ['required', 'string'],
            "{$at}area" => ['nullable', 'string'],
            "{$at}spread" => ['required', 'in:spot,patch,whole'],
            "{$at}size_mm" => ['nullable', 'numeric', 'min:0.01', 'max:500'],
            "{$at}pin" => ['nullable', 'array:view,x,y'],
            "{$at}pin.view" => ["required_with:{$at}pin", 'in:front,back,left,right,top,under'],
            "{$at}pin.x" => ["required_with:{$at}pin", 'numeric', 'between:-1,2'],
            "{$at}pin.y" => ["required_with:{$at}pin", 'numeric', 'between:-1,2'],
        ];
    }

    /**
     * @param  array<string, mixed>  $f  validated
     * @return Found
     */
    public static function read(array $f): array
    {
        return [
            'fault' => (string) $f['fault'],
            'area' => isset($f['area']) ? (string) $f['area'] : null,
            'spread' => (string) $f['spread'],
            'size_mm' => isset($f['size_mm']) ? (float) $f['size_mm'] : null,
            // One without a place is none: the rules ask nothing of an empty one.
            'pin' => ($f['pin'] ?? []) !== []
                ? ['view' => (string) $f['pin']['view'], 'x' => (float) $f['pin']['x'], 'y' => (float) $f['pin']['y']]
                : null,
        ];
    }

    public function question(): string
    {
        return $this->text('question');
    }

    /** @return Found */
    public function found(): array
    {
        return self::read($this->validated());
    }
}
