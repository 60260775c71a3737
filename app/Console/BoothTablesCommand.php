<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\FinishExamples;
use App\Pictures\FlatPaintTable;
use InvalidArgumentException;
use Ordotype\Core\Format\FlatPaintFormat;
use Ordotype\Core\Format\Json;

final class BoothTablesCommand extends CoreCommand
{
    protected $signature = 'ordotype:booth-tables
        {--width=612 : pixels across, of the figures in flat paint}
        {--out=database/catalogue : folder that is written to}';

    protected $description = 'Draw flat paint and examples of finish, measure them, and write the tables that ship';

    protected function work(): int
    {
        $out = $this->needed('out');
        $table = new FlatPaintTable($this->wholeNumber('width', 120, 2000));
        foreach (glob(base_path('database/demo/sculpts/*.json')) ?: [] as $file) {
            $table->add($this->sculpt($file));
        }
        $this->write("$out/flat-paint.json", FlatPaintFormat::write($table->table(), $table->areas()));
        $examples = ['format' => FinishExamples::WORD, 'values' => (new FinishExamples())->measured()];
        $this->write("$out/finish-examples.json", $examples);

        return self::SUCCESS;
    }

    /** @param  array<string, mixed>  $document */
    private function write(string $file, array $document): void
    {
        if (! is_dir(dirname($file)) || file_put_contents($file, Json::encode($document)."\n") === false) {
            throw new InvalidArgumentException("--out: $file cannot be written to.");
        }
        $this->line("$file written");
    }
}
