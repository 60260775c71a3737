<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\Order;
use App\Models\ReleaseRow;
use App\Models\SignOff;
use App\Models\Unit;
use Illuminate\Support\Facades\Artisan;
use Ordotype\Core\Words\Vocabulary;

/** No key, id or enum word in what a person reads. */
final class WordsTest extends StudioTestCase
{
    /** Fields of the API whose strings are shown as they are; what lies in lists under them counts too. */
    private const READ = [
        'agreed',
        'asked',
        'caution',
        'concerns',
        'consistency',
        'detail',
        'gains',
        'good',
        'how',
        'how_to_see',
        'intent',
        'label',
        'looks',
        'losses',
        'missing',
        'name',
        'names',
        'note',
        'problems',
        'purpose',
        'reason',
        'repainted',
        'says',
        'summary',
        'text',
        'title',
        'tools',
        'what',
        'why',
        'words',
        'group',
        'places',
    ];

    public function test_no_text_of_the_api_holds_a_key_or_an_id(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $texts = 0;
        foreach ($this->pages() as $page) {
            $answer = $this->api('lead', 'GET', $page, null, 200)->json();
            $texts += $this->walk($answer, $page, false);
        }
        self::assertGreaterThan(5000, $texts);
    }

    public function test_refusals_hold_none_either(): void
    {
        $unit = $this->unit('26-041');
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        foreach (
            [
                $this->api('lead', 'PUT', "units/$unit->id/tier", ['revision' => 1, 'tier' => 'exhibition'], 422),
                $this->api('lead', 'POST', "units/{$this->unit('26-038')->id}/release", ['revision' => 1]),
                $this->api('lead', 'POST', 'standard/draft/consequences', ['changes' => []], 200),
                $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => 600], 200),
                $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => 10], 200),
            ] as $i => $answer
        ) {
            $this->walk($answer->json(), "answer $i", false);
        }
    }

    public function test_papers_and_exports_for_people_hold_none(): void
    {
        $csv = (string) $this->actingAs($this->person('lead'))
            ->get('/api/v1/standard/ladder.csv')
            ->assertOk()
            ->getContent();
        foreach (explode("\n", $csv) as $i => $line) {
            $this->isPlain($line, "ladder, line $i");
        }
        $files = [
            '--standard' => 'database/demo/standards/five-rungs.json',
            '--sculpt' => 'database/demo/sculpts/lantern-provost.json',
        ];
        foreach (
            [
                [
                    'ordotype:plan',
                    [
                        '--tier' => 'cabinet',
                        '--scheme' => 'database/demo/schemes/tidemark.json',
                        '--shelf' => 'database/demo/shelf.csv',
                    ] + $files,
                ],
                ['ordotype:diff', ['--from' => 'company', '--to' => 'banner'] + $files],
                ['ordotype:diff', ['--from' => 'company', '--to' => 'banner', '--voice' => 'client'] + $files],
                ['ordotype:raise', ['--from' => 'company', '--to' => 'cabinet'] + $files],
                ['ordotype:stops', ['--tier' => 'banner'] + $files],
                ['ordotype:lint', ['standard' => 'database/demo/standards/five-rungs.json']],
            ] as [$command, $options]
        ) {
            Artisan::call($command, $options);
            foreach (explode("\n", Artisan::output()) as $i => $line) {
                $this->isPlain($line, "$command, line $i");
            }
        }
    }

    public function test_every_value_of_every_closed_set_has_words(): void
    {
        foreach (Vocabulary::sets() as $set => $words) {
            foreach ($words as $value => $word) {
                $this->isPlain($word, "$set: $value");
                self::assertTrue($word !== '' || $set === 'unit', "$set: $value");
            }
        }
    }

    /** @return list<string> */
    private function pages(): array
    {
        $pages = [
            'standard',
            'standard/techniques',
            'standard/compare?from=1&to=2',
            'standard/difference?from=company&to=cabinet&sculpt=lantern-provost',
            'standard/comparison?sculpt=sluice-warden',
            'orders',
            'bench',
            'checks',
            'sign-offs',
            'schemes',
            'schemes/tidemark',
            'sculpts',
            'packs',
        ];
        foreach (Order::query()->pluck('id') as $order) {
            $pages[] = "orders/$order";
        }
        foreach (Unit::query()->get() as $unit) {
            array_push($pages, "units/$unit->id/plan", "units/$unit->id/paints");
            if ($unit->released_at === null) {
                array_push(
                    $pages,
                    "units/$unit->id/tiers",
                    "units/$unit->id/schools",
                    "units/$unit->id/stops",
                    "units/$unit->id/spraying",
                    "units/$unit->id/compare?with=best",
                );
            }
        }
        foreach (ReleaseRow::query()->pluck('unit_id') as $unit) {
            $pages[] = "bench/$unit";
        }
        foreach (Check::query()->pluck('id') as $check) {
            $pages[] = "checks/$check";
        }
        foreach (SignOff::query()->pluck('number') as $number) {
            $pages[] = "sign-offs/$number";
        }
        $pages[] = "units/{$this->unit('26-033')->id}/raise?tier=cabinet&from=finished";

        return $pages;
    }

    /** @return int how many texts there were */
    private function walk(mixed $value, string $where, bool $isRead): int
    {
        if (is_string($value) && $isRead) {
            $this->isPlain($value, $where);

            return 1;
        }
        $texts = 0;
        foreach (is_array($value) ? $value : [] as $field => $inner) {
            // A clause's words stand under its id.
            $read = is_int($field)
                ? $isRead
                : in_array($field, self::READ, true) || str_ends_with($where, '/clauses');
            $texts += $this->walk($inner, "$where/$field", $read);
        }

        return $texts;
    }

    private function isPlain(string $text, string $where): void
    {
        $found = preg_match('/[a-z]+_[a-z_]+|\b[a-z]+\.[a-z]{2,}/', $text, $key);
        self::assertSame(0, $found, "$where: \"".($key[0] ?? '')."\" in \"$text\"");
    }
}
