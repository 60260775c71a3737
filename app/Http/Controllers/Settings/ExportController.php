<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Studio\Exports;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the studio has written down, to be taken elsewhere. */
final class ExportController
{
    public function table(string $table): StreamedResponse
    {
        $write = function () use ($table): void {
            foreach (Exports::csv($table) as $line) {
                echo $line;
            }
        };

        return new StreamedResponse($write, 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"$table.csv\"",
        ]);
    }

    public function everything(): BinaryFileResponse
    {
        $file = new BinaryFileResponse(Exports::everything(), 200, ['Content-Type' => 'application/zip']);

        return $file->setContentDisposition('attachment', 'studio.zip')->deleteFileAfterSend();
    }
}
