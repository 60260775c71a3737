<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\DemoPeople;
use App\Models\User;
use Illuminate\Console\Command;

final class SignInsCommand extends Command
{
    protected $signature = 'ordotype:sign-ins';

    protected $description = 'Print the sign-ins of the demo, where it is loaded';

    public function handle(): int
    {
        $people = array_filter(
            DemoPeople::all(),
            fn (array $p) => User::query()->where('email', $p['email'])->exists(),
        );
        foreach ($people as $person) {
            $this->line(
                sprintf('  %-8s %-30s %s', $person['role'], $person['email'], DemoPeople::PASSWORD).
                    ($person['may_sign'] ? '  may sign' : ''),
            );
        }

        return self::SUCCESS;
    }
}
