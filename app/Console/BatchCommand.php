<?php

declare(strict_types=1);

namespace App\Console;

use App\Formats\DocumentFile;
use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\Bounds;
use Ordotype\Core\Bench\Batch\ExactOrder;
use Ordotype\Core\Bench\Batch\FixedOrder;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Run;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\ReleaseReader;
use Ordotype\Core\Format\TimetableFormat;

final class BatchCommand extends CoreCommand
{
    protected $signature = 'ordotype:batch
        {file? : file in ordotype/release@1; left out, it is planned from what is named below}
        {--standard= : file in ordotype/standard@1}
        {--tier= : key of the tier}
        {--sculpt= : file in ordotype/sculpt@1}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1, one or a list}
        {--shelf= : CSV of paints}
        {--pieces=12 : how many are painted together}
        {--people= : file in ordotype/people@1; one painter without an end when left out}
        {--json : print ordotype/timetable@1}';

    protected $description = 'Lay a batch out around drying paint: who takes which pot over which models, and when';

    protected function work(): int
    {
        $pieces = $this->wholeNumber('pieces', 1, 500);
        $people = $this->file('people');
        [$painters, $guns, $fan] = $people === null
            ? [[new BatchPainter('painter')], 1, false]
            : $this->reading($people, fn () => TimetableFormat::people(DocumentFile::read($people, null)));
        $release = $this->release();
        $batch = BatchWork::of($release, range(1, $pieces), $painters, $fan, [], $guns);
        $timetable = OwnMix::of($batch);
        $timetable = ExactOrder::of($batch, $timetable) ?? $timetable;
        if ($this->option('json') === true) {
            $this->line(Json::encode(TimetableFormat::write($batch, $timetable)));

            return self::SUCCESS;
        }
        $this->told($batch, $timetable, $release);

        return self::SUCCESS;
    }

    private function release(): Release
    {
        $file = $this->argument('file');
        if (is_string($file)) {
            return $this->reading($file, fn () => ReleaseReader::read(DocumentFile::read($file, 'release@1')));
        }

        return $this->asReleased($this->request());
    }

    private function told(Batch $batch, Timetable $timetable, Release $release): void
    {
        $steps = $release->steps();
        $pot = function (Run $run) use ($batch, $steps): string {
            $step = $steps[$batch->operations[$run->operations[0]]->steps[0]];

            return $step->technique->name.($step->colour === null ? '' : ", {$step->colour->words()}");
        };
        $bounds = new Bounds($batch);
        $ways = [
            'own mix' => $timetable,
            'step by step' => FixedOrder::stepByStep($batch),
            'piece by piece' => FixedOrder::pieceByPiece($batch),
        ];
        $this->table(
            ['Worked', 'finish, min', 'waiting, min', 'changes of pot'],
            array_map(
                fn (string $way, Timetable $t) => [$way, round($t->finish), round($t->waiting), $t->changes()],
                array_keys($ways),
                array_values($ways),
            ),
        );
        $this->line(sprintf(
            'No less than %d min: hands %d, longest chain %d%s.',
            round($bounds->better),
            round($bounds->hand),
            round($bounds->chain),
            $timetable->isProven ? '; proven the least' : '',
        ));
        if ($timetable->left !== []) {
            $this->line(count($timetable->left).' operations are left: nobody has the skill or the hours for them.');
        }
        $this->table(
            ['From', 'To', 'Who', 'Pot', 'Models'],
            array_map(
                fn (Run $r) => [
                    round($r->from),
                    round($r->to),
                    $batch->painters[$r->painter]->key,
                    $pot($r),
                    implode(' ', array_map(fn (int $i) => $batch->operations[$i]->piece, $r->operations)),
                ],
                $timetable->runs,
            ),
        );
    }
}
