<?php

declare(strict_types=1);

namespace App\Console;

use App\Studio\NamesApart;
use Illuminate\Console\Command;

final class EraseNameCommand extends Command
{
    protected $signature = 'ordotype:erase-name {name : as it stands in the records, of a person or a client}';

    protected $description = 'Erase a name from all signed records and from what was said behind links';

    public function handle(): int
    {
        $name = (string) $this->argument('name');
        $records = NamesApart::erase($name);
        if ($records === 0) {
            $this->error("No record names “{$name}”, or it was erased. Records of the first format keep their names.");

            return self::FAILURE;
        }
        $this->line("“{$name}” is erased from $records ".($records === 1 ? 'place' : 'places').'.');

        return self::SUCCESS;
    }
}
