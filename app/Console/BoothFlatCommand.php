<?php

declare(strict_types=1);

namespace App\Console;

use App\Pictures\FlatPaintTable;
use InvalidArgumentException;
use Ordotype\Core\Format\FlatPaintFormat;
use Ordotype\Core\Format\Json;

final class BoothFlatCommand extends CoreCommand
{
    protected $signature = 'ordotype:booth-flat
        {--sculpt=* : files in ordotype/sculpt@1; the demo’s figures if none is given}
        {--width=612 : pixels across}
        {--out= : file that is written; without it the table is printed}';

    protected $description = 'Draw figures in undercoat and in flat paint, and say what contrast light alone makes';

    protected function work(): int
    {
        $given = array_values(array_filter((array) $this->option('sculpt'), is_string(...)));
        $files = $given === [] ? glob(base_path('database/demo/sculpts/*.json')) ?: [] : $given;
        $table = new FlatPaintTable($this->wholeNumber('width', 120, 2000));
        foreach ($files as $file) {
            $table->add($this->sculpt($file));
        }
        $written = Json::encode(FlatPaintFormat::write($table->table(), $table->areas()));
        $out = $this->file('out');
        if ($out === null) {
            $this->line($written);
        } elseif (@file_put_contents($out, "$written\n") === false) {
            throw new InvalidArgumentException("--out: $out cannot be written to.");
        }

        return self::SUCCESS;
    }
}
