<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Session\ManagePeople;
use App\Models\Role;
use App\Models\User;
use Illuminate\Console\Command;

/** A link by which a lead who is locked out sets a new password: for whoever runs the machine. */
final class LeadLinkCommand extends Command
{
    protected $signature = 'ordotype:lead-link {email : the address of a lead}';

    protected $description = 'Print a link by which a lead sets a new password, once';

    public function handle(ManagePeople $people): int
    {
        $lead = User::query()->where('email', $this->argument('email'))->first();
        if ($lead === null || $lead->role !== Role::Lead || $lead->set_aside_at !== null) {
            $this->error('No lead who is at work here has that address.');

            return self::FAILURE;
        }
        self::tell($this, $lead, $people);

        return self::SUCCESS;
    }

    /** Only its hash is kept: it is seen once. */
    public static function tell(Command $on, User $lead, ManagePeople $people): void
    {
        $link = rtrim((string) config('app.url'), '/').'/join/'.$people->link($lead, $lead);
        $on->line("$lead->name sets a password here, once, within a week: $link");
    }
}
