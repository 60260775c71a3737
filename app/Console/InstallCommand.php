<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Session\ManagePeople;
use App\Backup\Upgrade;
use App\Demo\DemoPhotographs;
use App\Demo\DemoStudio;
use App\Exceptions\AccountRefused;
use App\Exceptions\InstallationRefused;
use App\Http\Requests\Session\NewPassword;
use App\Models\User;
use App\Studio\Guessing;
use Illuminate\Console\Command;

/** Brings the database up to date, and fills an empty one with the demo or with the first lead. */
final class InstallCommand extends Command
{
    protected $signature = 'ordotype:install {--demo : load the demo studio into an empty database}';

    protected $description = 'Migrate the database; load the demo, or make the first lead\'s account';

    public function handle(DemoStudio $demo, Upgrade $upgrade, ManagePeople $people): int
    {
        try {
            $upgrade->run($this->line(...));
        } catch (InstallationRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        if (User::query()->exists()) {
            return self::SUCCESS;
        }
        if ($this->option('demo') === true) {
            $this->line('Loading the demo studio');
            $demo->load();
            dispatch(new DemoPhotographs());

            return self::SUCCESS;
        }

        return $this->firstLead($people);
    }

    /**
     * Who leads the studio was asked before anything was installed (`./ordotype`), or is told by the environment. A
     * password that is missing, or too easily guessed, is set by a link.
     */
    private function firstLead(ManagePeople $people): int
    {
        $told = fn (string $what): string => trim((string) getenv("ORDOTYPE_LEAD_$what"));
        $email = $told('EMAIL');
        if ($email !== '' && filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $this->error("ORDOTYPE_LEAD_EMAIL is no address: $email");

            return self::FAILURE;
        }
        $name = $told('NAME') === '' ? 'Lead' : $told('NAME');
        $email = $email === '' ? 'lead@studio.invalid' : $email;
        $password = (string) getenv('ORDOTYPE_LEAD_PASSWORD');
        $holds = $password !== '' && $this->holds($password, [$name, $email]);
        $lead = User::query()->create([
            'name' => $name,
            'email' => $email,
            'password' => $holds ? $password : bin2hex(random_bytes(32)),
            'role' => 'lead',
            'may_sign' => true,
            'skill' => 5,
            'joined_at' => $holds ? now() : null,
        ]);
        if (! $holds) {
            LeadLinkCommand::tell($this, $lead, $people);
        }

        return self::SUCCESS;
    }

    /** @param  list<string>  $own */
    private function holds(string $password, array $own): bool
    {
        if (mb_strlen($password) < NewPassword::LEAST) {
            $this->error('The password has fewer than '.NewPassword::LEAST.' characters.');

            return false;
        }
        try {
            Guessing::mustHold($password, $own);
        } catch (AccountRefused $e) {
            $this->error($e->getMessage());

            return false;
        }

        return true;
    }
}
