<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Order;
use App\Models\SignOff;
use App\Models\StepLog;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use ZipArchive;

/** What a studio takes with it: tables for a spreadsheet, and everything in one archive. */
final class ExportsTest extends StudioTestCase
{
    public function test_each_table_has_a_line_for_each_row_and_no_cell_is_a_formula(): void
    {
        $odd = ['=1+1', '+49 30', '-what', '@now', "\tx", 'He said "no", twice'];
        foreach ($odd as $i => $title) {
            Order::query()->where('id', Order::query()->orderBy('id')->skip($i)->value('id'))->update(['title' => $title]);
        }
        $orders = $this->table('orders');
        self::assertSame(Order::query()->count(), count($orders));
        $titles = array_column($orders, 'title');
        foreach ($odd as $title) {
            self::assertContains(str_contains($title, 'said') ? $title : "'$title", $titles);
        }
        $kept = StepLog::query()->whereNull('undoes')->whereNull('undone_by')->count();
        self::assertCount($kept, $this->table('time'));
        $clients = $this->table('clients');
        self::assertSame(Order::query()->count(), (int) array_sum(array_column($clients, 'orders')));
        foreach (['units', 'paints', 'checks'] as $table) {
            self::assertNotSame([], $this->table($table));
        }
        $this->api('lead', 'GET', 'exports/users', null, 404);
        $this->api('desk', 'GET', 'exports/orders', null, 403);
    }

    public function test_everything_is_one_archive_in_open_formats(): void
    {
        $this->actingAs($this->person('lead'));
        $answer = $this->get('/api/v1/exports/everything')->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);
        $zip = new ZipArchive();
        self::assertTrue($zip->open($answer->getFile()->getPathname(), ZipArchive::CHECKCONS));
        foreach (['tables/orders.csv', 'standards/version-1.json', 'figures/mudlark.json'] as $file) {
            self::assertNotFalse($zip->statName($file), $file);
        }
        $first = SignOff::query()->orderBy('number')->firstOrFail();
        self::assertSame($first->record, $zip->getFromName("sign-offs/$first->number.json"));
        $zip->close();
        unlink($answer->getFile()->getPathname());
    }

    /** @return list<array<string, string>> */
    private function table(string $table): array
    {
        $this->actingAs($this->person('lead'));
        $text = $this->get("/api/v1/exports/$table")->assertOk()->streamedContent();
        self::assertStringStartsWith("\xEF\xBB\xBF", $text);
        $handle = fopen('php://memory', 'w+');
        fwrite($handle, substr($text, 3));
        rewind($handle);
        $header = array_map(strval(...), fgetcsv($handle) ?: []);
        $rows = [];
        while (($cells = fgetcsv($handle)) !== false) {
            $rows[] = array_combine($header, array_map(strval(...), $cells));
        }

        return $rows;
    }
}
