<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\Backup;
use App\Exceptions\InstallationRefused;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'ordotype:backup {file : where to write it}';

    protected $description = 'Write the studio into one sealed file, while people work';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        assert(is_string($file));
        try {
            $bytes = $backup->write($file);
        } catch (InstallationRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line(sprintf(
            '%s: %.1f MB, sealed. It opens here, and anywhere with the recovery key of this installation.',
            $file,
            $bytes / 1e6,
        ));

        return self::SUCCESS;
    }
}
