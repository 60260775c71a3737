<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\BackupKey;
use App\Backup\Restore;
use App\Backup\SealedReader;
use App\Backup\Source;
use App\Backup\UnsealedBackup;
use App\Exceptions\InstallationRefused;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Schema;

final class RestoreCommand extends Command
{
    protected $signature = 'ordotype:restore {file : a backup} {--over : in the place of the studio that is here}
        {--recovery-key : sealed elsewhere: ask for the recovery key (or take it from ORDOTYPE_RECOVERY_KEY)}
        {--unsealed : one of before backups were sealed, which you know nobody has changed}';

    protected $description = 'Put a studio back as a backup has it';

    public function handle(Restore $restore): int
    {
        if ($this->option('over') !== true && Schema::hasTable('users') && User::query()->exists()) {
            $this->error('There is a studio here already. To put this one in its place, restore with --over.');

            return self::FAILURE;
        }
        try {
            $restore->beside($this->source());
        } catch (InstallationRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line('The studio is as it was then.');

        return $this->call('ordotype:verify');
    }

    private function source(): Source
    {
        $file = $this->argument('file');
        assert(is_string($file));
        if (is_readable($file) && ! SealedReader::isSealed($file)) {
            return $this->option('unsealed') === true
                ? UnsealedBackup::open($file)
                : throw InstallationRefused::notSealed();
        }
        if ($this->option('recovery-key') !== true) {
            return SealedReader::open($file, BackupKey::here());
        }
        // Not as an argument: those of a process are for everybody on the machine to read.
        $given = getenv('ORDOTYPE_RECOVERY_KEY') ?: $this->secret('Recovery key');

        return SealedReader::open($file, BackupKey::spelled(is_string($given) ? $given : ''));
    }
}
