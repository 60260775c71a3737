<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exceptions\RequestRefused;
use App\Models\User;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Ordotype\Core\Format\Json;
use stdClass;

/** A request whose body is read once, into types; what breaks its rules is refused before anybody sees it. */
abstract class StudioRequest extends FormRequest
{
    /** @return array<string, mixed> */
    abstract public function rules(): array;

    /** The revision that the person looked at before this change. */
    public function revision(): int
    {
        return $this->number('revision');
    }

    /** The person who is signed in; every route behind the sign-in has one. */
    public function person(): User
    {
        $user = $this->user();
        assert($user instanceof User);

        return $user;
    }

    /**
     * That `to` lies after the `from` beside it, days or hours as they are written; what is no text is told elsewhere.
     *
     * @param  bool  $alike  whether it may be the same
     */
    protected function endsAfter(bool $alike): Closure
    {
        return function (string $at, mixed $to, Closure $fail) use ($alike): void {
            $from = $this->input(substr($at, 0, -2).'from');
            if (is_string($from) && is_string($to) && ($alike ? $to < $from : $to <= $from)) {
                $fail('It ends before it begins.');
            }
        };
    }

    protected function text(string $key): string
    {
        return $this->textOrNull($key) ?? '';
    }

    protected function textOrNull(string $key): ?string
    {
        $value = $this->validated($key);

        return is_scalar($value) ? (string) $value : null;
    }

    protected function number(string $key): int
    {
        return $this->numberOrNull($key) ?? 0;
    }

    protected function numberOrNull(string $key): ?int
    {
        $value = $this->validated($key);

        return is_numeric($value) ? (int) $value : null;
    }

    /** @return list<string> */
    protected function texts(string $key): array
    {
        return array_map(
            fn (mixed $v) => is_scalar($v) ? (string) $v : '',
            array_values((array) $this->validated($key)),
        );
    }

    /**
     * A part of the body with its objects kept as objects, as the open formats are read.
     *
     * @throws RequestRefused
     */
    protected function object(string $key): stdClass
    {
        $value = $this->raw()->{$key} ?? null;

        return match (true) {
            $value instanceof stdClass => $value,
            // An object with nothing in it, as some clients write it.
            $value === [] => new stdClass(),
            default => throw RequestRefused::notAnObject($key),
        };
    }

    /** @return list<mixed> */
    protected function list(string $key): array
    {
        $value = $this->raw()->{$key} ?? null;

        return is_array($value) ? array_values($value) : [];
    }

    private function raw(): stdClass
    {
        $body = Json::decode((string) $this->getContent());

        return $body instanceof stdClass ? $body : new stdClass();
    }
}
