<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\SchemeVersion;
use App\Models\Sculpt;
use App\Models\SignOff;
use App\Models\StandardVersion;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/** Tables of the studio for a spreadsheet: read row by row, and nothing in them is run as a formula. */
final class Exports
{
    /** What a spreadsheet would take for the beginning of a formula. */
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    /** @return list<string> what there is */
    public static function tables(): array
    {
        return ['orders', 'units', 'time', 'paints', 'clients', 'checks'];
    }

    /**
     * Everything at once, in open formats, for who leaves: tables, standards, figures, schemes, sign-offs and pictures.
     *
     * @return string the path of a file that whoever gets it throws away
     */
    public static function everything(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'ordotype');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach (self::tables() as $table) {
            $zip->addFromString("tables/$table.csv", implode('', [...self::csv($table)]));
        }
        foreach (StandardVersion::query()->whereNotNull('document')->get() as $version) {
            $zip->addFromString("standards/version-$version->number.json", (string) $version->document);
        }
        foreach (Sculpt::query()->get(['slug', 'document']) as $sculpt) {
            $zip->addFromString("figures/$sculpt->slug.json", $sculpt->document);
        }
        foreach (SchemeVersion::query()->get() as $version) {
            $zip->addFromString("schemes/$version->scheme_id-$version->number.json", $version->document);
        }
        foreach (SignOff::query()->orderBy('number')->get(['number', 'record']) as $signOff) {
            $zip->addFromString("sign-offs/$signOff->number.json", $signOff->record);
        }
        // Pictures are packed from where they lie, one after the other.
        foreach (Storage::disk()->allFiles('pictures') as $file) {
            $zip->addFile(Storage::disk()->path($file), $file);
            $zip->setCompressionName($file, ZipArchive::CM_STORE);
        }
        $zip->close();

        return $path;
    }

    /** @return iterable<string> the lines of a table as CSV, its header first */
    public static function csv(string $table): iterable
    {
        yield "\xEF\xBB\xBF";
        $isFirst = true;
        foreach (self::rows($table)->cursor() as $row) {
            $cells = (array) $row;
            if ($isFirst) {
                yield self::line(array_keys($cells));
                $isFirst = false;
            }
            yield self::line(array_values($cells));
        }
    }

    private static function rows(string $table): Builder
    {
        return match ($table) {
            'orders' => DB::table('orders')->orderBy('id')->select([
                'number', 'client', 'title', 'client_reference', 'status', 'due_on as asked_for', 'promised_on',
                'brief', 'created_at as first_word',
            ]),
            'units' => DB::table('units')
                ->join('orders', 'orders.id', '=', 'units.order_id')
                ->join('sculpts', 'sculpts.id', '=', 'units.sculpt_id')
                ->orderBy('units.id')
                ->select([
                    'orders.number as order', 'units.label', 'sculpts.name as figure', 'units.tier', 'units.price',
                    'units.agreed_price', 'units.released_at',
                    DB::raw('(select count(*) from pieces where pieces.unit_id = units.id) as models'),
                ]),
            'time' => DB::table('step_logs')
                ->join('pieces', 'pieces.id', '=', 'step_logs.piece_id')
                ->join('units', 'units.id', '=', 'pieces.unit_id')
                ->join('orders', 'orders.id', '=', 'units.order_id')
                ->leftJoin('users', 'users.id', '=', 'step_logs.user_id')
                ->whereNull('step_logs.undoes')
                ->whereNull('step_logs.undone_by')
                ->orderBy('step_logs.id')
                ->select([
                    'orders.number as order', 'pieces.code as model', 'step_logs.technique', 'step_logs.family',
                    'step_logs.planned_minutes', 'step_logs.spent as minutes', 'step_logs.skipped',
                    'users.name as painter',
                    'step_logs.done_at',
                ]),
            'paints' => DB::table('paints')->orderBy('name')->select(['name', 'kind', 'hex', 'hiding', 'ml']),
            'clients' => DB::table('orders')->groupBy('client')->orderBy('client')->select([
                'client', DB::raw('count(*) as orders'), DB::raw('min(created_at) as first_word'),
                DB::raw('max(created_at) as last_word'),
            ]),
            default => DB::table('checks')
                ->join('pieces', 'pieces.id', '=', 'checks.piece_id')
                ->join('users', 'users.id', '=', 'checks.opened_by')
                ->orderBy('checks.id')
                ->select([
                    'pieces.code as model', 'checks.round', 'checks.verdict', 'checks.reason', 'users.name as checker',
                    'checks.closed_at',
                    DB::raw('(select count(*) from faults where faults.check_id = checks.id) as faults'),
                ]),
        };
    }

    /** @param  array<int|string, mixed>  $cells */
    private static function line(array $cells): string
    {
        $written = array_map(function (mixed $cell): string {
            $text = is_scalar($cell) ? (string) $cell : '';
            // A sign before it keeps it a text; a number below nothing stays a number.
            $isFormula = $text !== '' && in_array($text[0], self::FORMULA, true) && ! is_numeric($text);

            return '"'.str_replace('"', '""', $isFormula ? "'$text" : $text).'"';
        }, $cells);

        return implode(',', $written)."\r\n";
    }
}
