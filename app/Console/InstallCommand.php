<?php

declare(strict_types=1);

namespace App\Console;

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

    protected $description = 'Migrate the database; load the demo, or ask for the first lead\'s account';

    public function handle(DemoStudio $demo, Upgrade $upgrade): int
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

        return $this->firstLead();
    }

    private function firstLead(): int
    {
        if (! $this->input->isInteractive()) {
            $this->error(
                'There is no account yet, and nobody to ask for one: run ./ordotype start --no-demo in a terminal.',
            );

            return self::FAILURE;
        }
        $name = $this->answer('Name of the first lead', fn (string $a) => $a !== '');
        $email = $this->answer('E-mail address', fn (string $a) => filter_var($a, FILTER_VALIDATE_EMAIL) !== false);
        do {
            $password = $this->secret('Password, at least 12 characters');
        } while (! is_string($password) || ! $this->holds($password, [$name, $email]));
        User::query()->create([
            'name' => $name,
            'email' => $email,
            'password' => $password,
            'role' => 'lead',
            'may_sign' => true,
            'skill' => 5,
            'joined_at' => now(),
        ]);

        return self::SUCCESS;
    }

    /** @param  list<string>  $own */
    private function holds(string $password, array $own): bool
    {
        if (mb_strlen($password) < NewPassword::LEAST) {
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

    /** @param  callable(string): bool  $good */
    private function answer(string $question, callable $good): string
    {
        do {
            $answer = $this->ask($question);
            $answer = is_string($answer) ? trim($answer) : '';
        } while (! $good($answer));

        return $answer;
    }
}
