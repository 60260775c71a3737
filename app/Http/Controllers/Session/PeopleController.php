<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Actions\Session\ManagePeople;
use App\Http\Requests\NothingSent;
use App\Http\Requests\Session\NewPassword;
use App\Http\Requests\Session\OwnAccount;
use App\Http\Requests\Session\PersonAside;
use App\Http\Requests\Session\PersonFacts;
use App\Http\Resources\Session\PersonBrief;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;

/** People of the studio, the links by which they come in, and what each may do to their own account. */
final class PeopleController
{
    public function __construct(private readonly ManagePeople $people)
    {
    }

    public function index(): JsonResponse
    {
        $people = User::query()->orderByRaw('set_aside_at is not null')->orderBy('name')->orderBy('id')->get();

        return new JsonResponse(['data' => PersonBrief::collection($people)]);
    }

    public function store(PersonFacts $given): JsonResponse
    {
        [$person, $secret] = $this->people->invite($given->whole(), $given->person());

        return new JsonResponse(['person' => new PersonBrief($person), 'link' => self::link($secret)], 201);
    }

    public function update(PersonFacts $given, User $person): JsonResponse
    {
        return new JsonResponse(
            new PersonBrief($this->people->change($person, $given->revision(), $given->changes())),
        );
    }

    public function aside(PersonAside $given, User $person): JsonResponse
    {
        return new JsonResponse(
            new PersonBrief($this->people->setAside($person, $given->revision(), $given->aside())),
        );
    }

    public function relink(NothingSent $given, User $person): JsonResponse
    {
        return new JsonResponse(['link' => self::link($this->people->link($person, $given->person()))], 201);
    }

    /** Whose link it is: for anyone who has it. */
    public function linked(string $secret): JsonResponse
    {
        $person = $this->people->linked($secret)->user;

        return new JsonResponse([
            'name' => $person->name,
            'email' => $person->email,
            'first' => $person->joined_at === null,
        ]);
    }

    public function join(NewPassword $given, string $secret): JsonResponse
    {
        $person = $this->people->join($secret, $given->next());
        Auth::guard('web')->login($person);
        $given->session()->regenerate();

        return new JsonResponse(null, 204);
    }

    public function password(NewPassword $given, OwnAccount $own): JsonResponse
    {
        $this->people->changePassword($own->person(), $given->current(), $given->next());
        $this->people->signOutEverywhere($own->person(), $given->session()->getId());

        return new JsonResponse(null, 204);
    }

    public function signOutElsewhere(OwnAccount $given): JsonResponse
    {
        $this->people->signOutEverywhere($given->person(), $given->session()->getId());

        return new JsonResponse(null, 204);
    }

    /** The path that is told once; the browser knows the rest of its own address. */
    private static function link(string $secret): string
    {
        return "/join/$secret";
    }
}
