<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\Backup;
use App\Exceptions\InstallationRefused;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

final class RestoreCommand extends Command
{
    protected $signature = 'ordotype:restore {file : a backup} {--over : over the studio that is here}
        {--key-file= : where to write the application key of the backup}';

    protected $description = 'Put a studio back as a backup has it';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        assert(is_string($file));
        if ($this->option('over') !== true && Schema::hasTable('users') && User::query()->exists()) {
            $this->error(
                'There is a studio here already. Back it up, then restore with --over to put this one in its place.',
            );

            return self::FAILURE;
        }
        try {
            $key = $backup->restore($file);
        } catch (InstallationRefused $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $to = $this->option('key-file');
        if (is_string($to) && $to !== '') {
            file_put_contents($to, $key);
            chmod($to, 0600);
        }
        // What came after the backup is brought up to date as on any start.
        DB::purge();
        $this->callSilently('migrate', ['--force' => true, '--database' => 'migrate']);
        $this->line('The studio is as it was then.');

        return $this->call('ordotype:verify');
    }
}
