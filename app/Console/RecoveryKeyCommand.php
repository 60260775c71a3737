<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\BackupKey;
use App\Exceptions\InstallationRefused;
use Illuminate\Console\Command;

final class RecoveryKeyCommand extends Command
{
    protected $signature = 'ordotype:recovery-key {--first : make one where there is none, and show it only then}';

    protected $description = 'Show what opens the backups of this installation anywhere else';

    public function handle(): int
    {
        try {
            $key = $this->option('first') === true ? BackupKey::make() : BackupKey::here();
        } catch (InstallationRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        if ($key !== null) {
            $this->line("Recovery key: {$key->onPaper()}");
            $this->line('Write it down and keep it away from this machine: without it a backup opens nowhere else.');
        }

        return self::SUCCESS;
    }
}
