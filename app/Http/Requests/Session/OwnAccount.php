<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Exceptions\AccountRefused;
use App\Http\Requests\StudioRequest;

/** Something that only the person may do, signed in as such; a token may not. */
class OwnAccount extends StudioRequest
{
    /** @throws AccountRefused */
    public function authorize(): bool
    {
        return $this->person()->currentAccessToken() === null ? true : throw AccountRefused::tokensArePersonal();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }
}
