<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Orders\MoveOrder;
use App\Backup\Backup;
use App\Models\Studio;
use App\Studio\Failures;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Ordotype\Core\Format\Json;
use stdClass;
use Throwable;

/**
 * What is done by itself, every few minutes: orders whose days for claims are over are closed; a backup is made when
 * the last is old enough, and no more of them stay than should.
 */
final class ClockCommand extends Command
{
    protected $signature = 'ordotype:clock {--tell : only say when it last ran, and how old the last backup is}';

    protected $description = 'Close what is delivered and paid, and make a backup when it is time';

    public function handle(Backup $backup, MoveOrder $orders): int
    {
        if ($this->option('tell') === true) {
            return $this->tell();
        }
        $orders->closeByItself(Studio::row()->claim_days);
        $folder = (string) config('ordotype.backups');
        if (! is_dir($folder)) {
            mkdir($folder, 0700, true);
        }
        $last = $this->last();
        $hours = (int) config('ordotype.backup_hours');
        $why = null;
        if ($hours > 0 && ($last === null || $this->madeAt($last)->diffInHours(now()) >= $hours)) {
            try {
                $last = "$folder/studio-".now()->format('Ymd-His').'.ordotype';
                $backup->write($last);
            } catch (Throwable $e) {
                report($e);
                $why = $e->getMessage();
            }
        }
        foreach (array_slice(array_reverse($this->all()), max(1, (int) config('ordotype.backups_kept'))) as $old) {
            unlink($old);
        }
        $note = ['ran_at' => now()->toIso8601ZuluString(), 'failed' => $why];
        file_put_contents("$folder/clock.json", Json::encode($note));

        return $why === null ? self::SUCCESS : self::FAILURE;
    }

    private function tell(): int
    {
        $file = config('ordotype.backups').'/clock.json';
        $note = is_readable($file) ? Json::decode((string) file_get_contents($file)) : null;
        if (! $note instanceof stdClass) {
            $this->line('MISSING  the clock has not run yet: no backups are made by themselves');

            return self::FAILURE;
        }
        $ran = Carbon::parse($note->ran_at);
        $last = $this->last();
        $isWell = $note->failed === null && $ran->diffInMinutes(now()) < 60;
        $this->line(sprintf(
            '%s the clock ran %s; %s%s',
            $isWell ? 'ok      ' : 'MISSING ',
            $ran->diffForHumans(),
            $last === null
                ? 'there is no backup yet'
                : "the last backup is of {$this->madeAt($last)->diffForHumans()}, $last",
            $note->failed === null ? '' : "; the next one failed: $note->failed",
        ));

        $failed = Failures::counted();
        if (array_sum($failed) > 0) {
            $this->line(sprintf(
                'failed   %d drawings, %d measurings, %d imports were tried three times and given up',
                ...array_values($failed),
            ));
        }

        return $isWell ? self::SUCCESS : self::FAILURE;
    }

    private function last(): ?string
    {
        $all = $this->all();

        return $all === [] ? null : end($all);
    }

    /** @return list<string> oldest first */
    private function all(): array
    {
        return glob(config('ordotype.backups').'/studio-*.ordotype') ?: [];
    }

    private function madeAt(string $file): Carbon
    {
        return Carbon::createFromTimestamp((int) filemtime($file));
    }
}
