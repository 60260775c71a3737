<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Http\Requests\StudioRequest;
use App\Models\Paint;
use Illuminate\Validation\Rule;
use Ordotype\Core\Colour\Hiding;

/** A pot of paint, as it is put on the shelf by hand. */
final class NewPaint extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            // A name that begins like a colour would be read as one in a scheme.
            'name' => ['required', 'string', 'max:80', 'not_regex:/^#/', Rule::unique(Paint::class)],
            'kind' => ['required', 'string', Rule::in(Paint::KINDS)],
            'hex' => ['required', 'string', 'regex:/^#[0-9a-f]{6}$/iD'],
            'hiding' => ['required', 'string', Rule::enum(Hiding::class)],
            'ml' => ['required', 'numeric', 'between:0,10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'There is a paint of this name on the shelf already.',
            'name.not_regex' => 'A name does not begin with #: that is how a colour without a paint is written.',
            'hex.regex' => 'A colour is written as # and six digits, such as #3a4149.',
        ];
    }

    /** @return array{name: string, kind: string, hex: string, hiding: string, ml: float} */
    public function facts(): array
    {
        return [
            'name' => trim($this->text('name')),
            'kind' => $this->text('kind'),
            'hex' => mb_strtolower($this->text('hex')),
            'hiding' => $this->text('hiding'),
            'ml' => (float) $this->text('ml'),
        ];
    }
}
