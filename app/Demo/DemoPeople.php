<?php

declare(strict_types=1);

namespace App\Demo;

/** The people of the demo studio; all of it is made up. Their sign-ins are shown on the demo's own pages only. */
final class DemoPeople
{
    public const PASSWORD = 'tidemark';

    /**
     * @return list<array{name: string, email: string, role: string, may_sign: bool, skill: int, hours_week: int|null,
     *     largest_batch: int|null}>
     */
    public static function all(): array
    {
        return [
            [
                'name' => 'Runa Wick',
                'email' => 'lead@heron-lane.example',
                'role' => 'lead',
                'may_sign' => true,
                'skill' => 5,
                'hours_week' => 12,
                'largest_batch' => null,
            ],
            [
                'name' => 'Ines Tallow',
                'email' => 'painter@heron-lane.example',
                'role' => 'painter',
                'may_sign' => false,
                'skill' => 4,
                'hours_week' => 32,
                'largest_batch' => 12,
            ],
            [
                'name' => 'Odo Marsh',
                'email' => 'odo@heron-lane.example',
                'role' => 'painter',
                'may_sign' => true,
                'skill' => 3,
                'hours_week' => 24,
                'largest_batch' => 8,
            ],
            [
                'name' => 'Pim Sedge',
                'email' => 'pim@heron-lane.example',
                'role' => 'painter',
                'may_sign' => false,
                'skill' => 2,
                'hours_week' => 20,
                'largest_batch' => 6,
            ],
            [
                'name' => 'Wil Ferris',
                'email' => 'desk@heron-lane.example',
                'role' => 'desk',
                'may_sign' => false,
                'skill' => 1,
                'hours_week' => null,
                'largest_batch' => null,
            ],
        ];
    }
}
