<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Exceptions\AccountRefused;
use App\Models\Studio;
use App\Models\User;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Ordotype\Core\Foundation\OneTimeCode;

/** A code that changes every half minute beside the password, and codes on paper for when the device is gone. */
final class SecondFactor
{
    /** Bytes of a secret: as long as SHA-1, as RFC 4226 wants it. */
    private const SECRET = 20;

    private const CODES = 10;

    public function __construct(private readonly ActivityLog $log)
    {
    }

    /** Whether somebody may do no more than set one up. */
    public static function isMissing(User $person): bool
    {
        return $person->second_factor_since === null &&
            in_array($person->role->value, Studio::row()->second_factor_roles, true);
    }

    /**
     * @return string the secret as it is typed into a device; it counts once a code of it was said
     *
     * @throws AccountRefused when there is one, or the password is another one
     */
    public function begin(User $person, string $password): string
    {
        if ($person->second_factor_since !== null) {
            throw AccountRefused::hasSecondFactor();
        }
        $this->mustBe($person, $password);
        $secret = OneTimeCode::spelled(random_bytes(self::SECRET));
        $person->update(['second_factor' => $secret]);

        return $secret;
    }

    /**
     * @return list<string> codes on paper, each for one time
     *
     * @throws AccountRefused
     */
    public function confirm(User $person, string $code): array
    {
        return DB::transaction(function () use ($person, $code): array {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($person->second_factor_since !== null) {
                throw AccountRefused::hasSecondFactor();
            }
            $step = $this->step($person, $code) ?? throw AccountRefused::codeWrong();
            $codes = array_map(fn () => implode('-', str_split(bin2hex(random_bytes(6)), 4)), range(1, self::CODES));
            $person->update([
                'second_factor_since' => now(),
                'second_factor_step' => $step,
                'recovery_codes' => array_map(self::hash(...), $codes),
            ]);
            $this->log->write('person.second_factor', $person, null, 'set up');

            return $codes;
        });
    }

    /** @throws AccountRefused */
    public function remove(User $person, string $password): void
    {
        $this->mustBe($person, $password);
        $this->takeAway($person);
    }

    /** For somebody whose device and paper are gone: the lead who knows them takes it away, and they set up another. */
    public function takeAway(User $person): void
    {
        DB::transaction(function () use ($person): void {
            $person->update(['second_factor' => null, 'second_factor_since' => null, 'recovery_codes' => null]);
            $this->log->write('person.second_factor', $person, null, 'taken away');
        });
    }

    /** Whether a code opens the door, of the device or of the paper; it does so once. */
    public function opens(User $person, string $code): bool
    {
        return DB::transaction(function () use ($person, $code): bool {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            $step = $this->step($person, $code);
            if ($step !== null) {
                return $person->update(['second_factor_step' => $step]);
            }
            $left = array_values(array_diff($person->recovery_codes ?? [], [self::hash($code)]));
            if (count($left) === count($person->recovery_codes ?? [])) {
                return false;
            }
            $this->log->write('person.second_factor', $person, null, 'a code on paper was used');

            return $person->update(['recovery_codes' => $left]);
        });
    }

    private function step(User $person, string $code): ?int
    {
        return $person->second_factor === null ? null : OneTimeCode::stepOf(
            OneTimeCode::read($person->second_factor),
            (string) preg_replace('/\s/', '', $code),
            now()->getTimestamp(),
            $person->second_factor_step,
        );
    }

    private function mustBe(User $person, string $password): void
    {
        if (! Hash::check($password, $person->password)) {
            throw AccountRefused::passwordWrong();
        }
    }

    private static function hash(string $code): string
    {
        return hash('sha256', strtolower((string) preg_replace('/[^0-9a-fA-F]/', '', $code)));
    }
}
