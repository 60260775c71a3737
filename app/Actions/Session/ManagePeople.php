<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Exceptions\AccountRefused;
use App\Exceptions\Conflict;
use App\Jobs\FollowBatch;
use App\Models\Invitation;
use App\Models\Role;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\Guessing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/**
 * Who works here: invited by a link, changed, set aside, let in again. A link is told once, only its hash is kept, and
 * a newer one puts an older one out of use.
 */
final class ManagePeople
{
    private const LINK_DAYS = 7;

    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  array{name: string, email: string, role: string, may_sign: bool, skill: int, hours_week: float|null,
     *     largest_batch: int|null, away: list<array{from: string, to: string}>}  $facts
     * @return array{User, string} the person and the secret of their link, 128 random bits in hexadecimal
     *
     * @throws AccountRefused
     */
    public function invite(array $facts, User $by): array
    {
        return DB::transaction(function () use ($facts, $by): array {
            if (User::query()->where('email', $facts['email'])->lockForUpdate()->exists()) {
                throw AccountRefused::addressTaken($facts['email']);
            }
            // Nobody knows this password: the person sets one by the link.
            $person = User::query()->create($facts + ['password' => bin2hex(random_bytes(32))]);
            $this->log->write('person.invited', $person, null, $facts);

            return [$person->refresh(), $this->link($person, $by)];
        });
    }

    /**
     * @param  array<string, mixed>  $facts  of name, email, role, may_sign, skill, hours_week, largest_batch and away
     *     what changes
     *
     * @throws Conflict when they are not as they were looked at
     * @throws AccountRefused
     * @throws AccountRefused
     */
    public function change(User $person, int $revision, array $facts): User
    {
        return DB::transaction(function () use ($person, $revision, $facts): User {
            $person = $this->asLookedAt($person, $revision);
            $email = $facts['email'] ?? $person->email;
            if (User::query()->where('email', $email)->whereKeyNot($person->id)->exists()) {
                throw AccountRefused::addressTaken(is_string($email) ? $email : '');
            }
            if (($facts['role'] ?? 'lead') !== 'lead' || ($facts['may_sign'] ?? true) !== true) {
                $this->anotherLead($person);
            }
            $before = $person->only(array_keys($facts));
            $person->update($facts + ['revision' => $revision + 1]);
            $this->log->write('person.changed', $person, $before, $facts);
            FollowBatch::ofPainter($person->id);

            return $person->refresh();
        });
    }

    /**
     * Away: out of every session and every token, no sign-in. Their work and signatures stay as they are.
     *
     * @throws Conflict
     * @throws AccountRefused
     */
    public function setAside(User $person, int $revision, bool $aside): User
    {
        return DB::transaction(function () use ($person, $revision, $aside): User {
            $person = $this->asLookedAt($person, $revision);
            if ($aside) {
                $this->anotherLead($person);
                $this->signOutEverywhere($person);
                $this->withdrawLinks($person);
            }
            $person->update(['set_aside_at' => $aside ? now() : null, 'revision' => $revision + 1]);
            $this->log->write($aside ? 'person.set_aside' : 'person.let_in', $person, null, null);

            return $person->refresh();
        });
    }

    /** @return string the secret of a new link, by which the person sets a password; the older ones open nothing */
    public function link(User $person, User $by): string
    {
        return DB::transaction(function () use ($person, $by): string {
            // Of several that are asked for at once one is the newest.
            User::query()->lockForUpdate()->findOrFail($person->id);
            $this->withdrawLinks($person);
            $secret = bin2hex(random_bytes(16));
            $link = Invitation::query()->create([
                'user_id' => $person->id,
                'hash' => hash('sha256', $secret),
                'made_by' => $by->id,
                'expires_at' => now()->addDays(self::LINK_DAYS),
            ]);
            $this->log->write('person.link', $link, null, ['person' => $person->id]);

            return $secret;
        });
    }

    /** @throws AccountRefused */
    public function linked(string $secret): Invitation
    {
        return Invitation::query()
            ->standing()
            ->with('user')
            ->where('hash', hash('sha256', $secret))
            ->whereHas('user', fn ($people) => $people->whereNull('set_aside_at'))
            ->first() ?? throw AccountRefused::linkUsedUp();
    }

    /**
     * @return User who is now in with the new password, and out everywhere else, scripts as well
     *
     * @throws AccountRefused
     */
    public function join(string $secret, string $password): User
    {
        return DB::transaction(function () use ($secret, $password): User {
            $link = $this->linked($secret);
            $person = User::query()->lockForUpdate()->findOrFail($link->user_id);
            if (Invitation::query()->standing()->whereKey($link->id)->update(['used_at' => now()]) !== 1) {
                throw AccountRefused::linkUsedUp();
            }
            Guessing::mustHold($password, [$person->name, $person->email]);
            $person->update(['password' => $password, 'joined_at' => $person->joined_at ?? now()]);
            $this->signOutEverywhere($person);
            // Whoever had the old password may have made some.
            $person->tokens()->whereNull('revoked_at')->update(['revoked_at' => now()]);
            $this->log->write('person.joined', $person, null, null);

            return $person->refresh();
        });
    }

    /** @throws AccountRefused */
    public function changePassword(User $person, string $current, string $next): void
    {
        if (! Hash::check($current, $person->password)) {
            throw AccountRefused::passwordWrong();
        }
        Guessing::mustHold($next, [$person->name, $person->email]);
        DB::transaction(function () use ($person, $next): void {
            $person->update(['password' => $next]);
            $this->log->write('person.password', $person, null, null);
        });
    }

    /** @param  string|null  $but  the id of a session that stays */
    public function signOutEverywhere(User $person, ?string $but = null): void
    {
        DB::table('sessions')
            ->where('user_id', $person->id)
            ->when($but, fn ($sessions, $id) => $sessions->where('id', '!=', $id))
            ->delete();
    }

    private function withdrawLinks(User $person): void
    {
        Invitation::query()->standing()->where('user_id', $person->id)->update(['withdrawn_at' => now()]);
    }

    private function asLookedAt(User $person, int $revision): User
    {
        $person = User::query()->lockForUpdate()->findOrFail($person->id);
        if ($person->revision !== $revision) {
            throw Conflict::person($person);
        }

        return $person;
    }

    /** There is always a lead at work who may sign, so that nobody locks the studio. */
    private function anotherLead(User $person): void
    {
        if ($person->role !== Role::Lead) {
            return;
        }
        $others = User::query()
            ->whereKeyNot($person->id)
            ->where('role', Role::Lead->value)
            ->where('may_sign', true)
            ->whereNotNull('joined_at')
            ->whereNull('set_aside_at')
            ->lockForUpdate();
        if ($others->doesntExist()) {
            throw AccountRefused::lastLead($person);
        }
    }
}
