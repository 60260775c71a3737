<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Actions\Session\SecondFactor;
use App\Demo\DemoPeople;
use App\Http\Requests\Session\SignIn;
use App\Models\Studio;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\Room;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;

final class SessionController
{
    /** The hash of a password that nobody has, as dear to try as anybody's (`config/hashing.php`). */
    public const NOBODYS = '$argon2id$v=19$m=65536,t=4,p=1$QXVYc3JGeFgud1VJNzhVTw'.
        '$ZIW5NwHz9lIplk9TVGErXhetKuGjcS5sk7Q2gNGiZKA';

    public function show(): JsonResponse
    {
        $user = Auth::user();
        $demo = User::query()
            ->whereIn('email', array_column(DemoPeople::all(), 'email'))
            ->whereNull('set_aside_at')
            ->pluck('email')
            ->all();

        return new JsonResponse([
            'studio' => Studio::row()->only(['name', 'time_zone', 'address']),
            'person' => $user instanceof User ? self::person($user) : null,
            'room' => Room::left(),
            'demo' => array_values(
                array_map(
                    fn (array $p) => [
                        'name' => $p['name'],
                        'email' => $p['email'],
                        'role' => $p['role'],
                        'may_sign' => $p['may_sign'],
                        'password' => DemoPeople::PASSWORD,
                    ],
                    array_filter(DemoPeople::all(), fn (array $p) => in_array($p['email'], $demo, true)),
                ),
            ),
        ]);
    }

    public function store(SignIn $given, SecondFactor $factor): JsonResponse
    {
        ['email' => $email, 'password' => $password] = $given->credentials();
        $person = User::query()->where('email', $email)->whereNull('set_aside_at')->first();
        // An address that nobody has takes as long as a wrong password.
        if (! Hash::check($password, $person->password ?? self::NOBODYS) || $person === null) {
            // Whose address it was is not written down: people type passwords there.
            Log::notice('A sign-in was refused.', ['ip' => $given->ip()]);
            throw ValidationException::withMessages(['email' => 'This address and password do not belong together.']);
        }
        if ($person->second_factor_since !== null && ! $factor->opens($person, $given->code())) {
            Log::notice('A sign-in lacked its second factor.', ['person' => $person->id, 'ip' => $given->ip()]);
            throw ValidationException::withMessages(['code' => $given->code() === ''
                ? 'Say the code that your device shows, or one from paper.'
                : 'This code does not open the door. Wait for the next one, or take one from paper.']);
        }
        Auth::login($person);
        if (Hash::needsRehash($person->password)) {
            $person->update(['password' => $password]);
        }
        $given->session()->regenerate();
        Log::info('Somebody signed in.', ['person' => Auth::id(), 'ip' => $given->ip()]);

        return $this->show();
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    /** @return array<string, mixed> */
    private static function person(User $user): array
    {
        return [
            'id' => $user->id,
            'name' => $user->name,
            'role' => $user->role->value,
            'may_sign' => $user->may_sign,
            'can' => Rights::of($user),
            'sees_money' => Rights::seesMoney($user),
            'second_factor' => match (true) {
                $user->second_factor_since !== null => 'there',
                SecondFactor::isMissing($user) => 'wanted',
                default => 'none',
            },
        ];
    }
}
