<?php

declare(strict_types=1);

namespace App\Queries\Settings;

use App\Models\Order;
use App\Models\Paint;
use App\Models\Sculpt;
use App\Models\Studio;
use App\Models\User;
use App\Repositories\Standards;

/** What a new studio does first, what each step opens up, and which are done. */
final class FirstSteps
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return list<array{words: string, opens: string, act: string, to: string, done: bool}> */
    public function all(): array
    {
        $steps = [
            ['The studio', 'its name at the door, its rate behind every price', 'Say what it is', '/settings/studio',
                Studio::row()->name !== ''],
            ['People', 'work at the bench, checks by somebody else', 'Invite somebody', '/settings/people',
                User::query()->count() > 1],
            ['The standard', 'tiers, plans and prices', 'Choose a pack or an empty ladder', '/standard/packs',
                $this->standards->published() !== null],
            ['Paints', 'schemes, and paints in every step', 'Fill the rack', '/paints', Paint::query()->exists()],
            ['A first figure', 'plans with minutes for each of its areas', 'Make one from a template', '/figures',
                Sculpt::query()->exists()],
            ['A first order', 'the bench', 'Open it', '/orders', Order::query()->exists()],
        ];

        return array_map(
            fn (array $s) => array_combine(['words', 'opens', 'act', 'to', 'done'], $s),
            $steps,
        );
    }
}
