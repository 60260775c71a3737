<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

/** Who may do what. A lead may do all; only people with `may_sign` concede and sign. */
final class Rights
{
    /** @var array<string, list<string>> ability to the roles that have it */
    public const ABILITIES = [
        'standard.read' => ['lead', 'desk'],
        'standard.edit' => ['lead'],
        'share' => ['lead', 'desk'],
        'import' => ['lead'],
        'studio.read' => ['lead', 'desk'],
        'studio.edit' => ['lead'],
        'people.edit' => ['lead'],
        'orders.read' => ['lead', 'desk'],
        'orders.edit' => ['lead', 'desk'],
        'schemes.read' => ['lead', 'desk'],
        'schemes.edit' => ['lead'],
        'plan.read' => ['lead', 'desk', 'painter'],
        'plan.edit' => ['lead'],
        'bench.use' => ['lead', 'painter'],
        'check.read' => ['lead', 'desk', 'painter'],
        'check.answer' => ['lead', 'painter'],
        'check.overrule' => ['lead'],
        'photographs.take' => ['lead', 'desk', 'painter'],
        'sign' => ['lead', 'desk', 'painter'],
        'certificate.read' => ['lead', 'desk', 'painter'],
    ];

    /** What a person reads for each. */
    public const WORDS = [
        'standard.read' => 'read the standard',
        'standard.edit' => 'change the standard',
        'share' => 'share comparison sheets',
        'import' => 'bring in files',
        'studio.read' => 'read the settings of the studio',
        'studio.edit' => 'change the settings of the studio',
        'people.edit' => 'look after people',
        'orders.read' => 'read orders and prices',
        'orders.edit' => 'open and change orders',
        'schemes.read' => 'read schemes and figures',
        'schemes.edit' => 'change schemes and figures',
        'plan.read' => 'read plans',
        'plan.edit' => 'change plans and release them',
        'bench.use' => 'mark work at the bench',
        'check.read' => 'read checks',
        'check.answer' => 'answer checks',
        'check.overrule' => 'say how much a fault counts',
        'photographs.take' => 'take photographs',
        'sign' => 'sign off',
        'certificate.read' => 'read certificates',
    ];

    /** Abilities that also need the lead to have given the right to sign. */
    private const SIGNERS_ONLY = ['sign'];

    public static function has(User $user, string $ability): bool
    {
        return in_array($user->role->value, self::ABILITIES[$ability] ?? [], true) &&
            (! in_array($ability, self::SIGNERS_ONLY, true) || $user->may_sign) &&
            ($user->currentAccessToken() === null || $user->tokenCan($ability));
    }

    public static function seesMoney(User $user): bool
    {
        return $user->role !== Role::Painter;
    }

    /** Who the work is for is nothing that painting it takes. */
    public static function seesClients(User $user): bool
    {
        return $user->role !== Role::Painter;
    }

    /** @return list<string> */
    public static function of(User $user): array
    {
        return array_values(array_filter(array_keys(self::ABILITIES), fn (string $a) => self::has($user, $a)));
    }
}
