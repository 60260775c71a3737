<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Settings\ImportDocument;
use App\Formats\DocumentFile;

final class ImportCommand extends CoreCommand
{
    protected $signature = 'ordotype:import {file : a document in an open format, or a CSV of paints}';

    protected $description = 'Take a standard, figure, scheme, order or shelf into the studio: all of it, or nothing';

    public function __construct(private readonly ImportDocument $import)
    {
        parent::__construct();
    }

    protected function work(): int
    {
        $path = $this->argument('file');
        $this->line($this->import->text(DocumentFile::text(is_string($path) ? $path : '')));

        return self::SUCCESS;
    }
}
