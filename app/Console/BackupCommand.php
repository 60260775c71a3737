<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\Backup;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'ordotype:backup {file : where to write it}';

    protected $description = 'Write the studio into one file, while people work';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        assert(is_string($file));
        $bytes = $backup->write($file);
        $this->line(sprintf('%s: %.1f MB. Whoever has it can read everything in it.', $file, $bytes / 1e6));

        return self::SUCCESS;
    }
}
