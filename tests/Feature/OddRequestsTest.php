<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\Contract;
use Tests\Support\Demo;

/** Requests that nobody would make on purpose, over every route: each gets its reason, never a 500, never a page. */
final class OddRequestsTest extends StudioTestCase
{
    private Randomizer $random;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 6) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }

    public function test_other_methods_and_addresses_that_cannot_be_read_are_answered_as_problems(): void
    {
        foreach ([['OPTIONS', 'orders', 405], ['OPTIONS', 'nothing', 405], ['PATCH', 'orders', 405], ['PROPFIND', 'orders', 405],
            ['GET', '%FF%FE', 400], ['GET', 'orders/%C3%28', 400]] as [$method, $path, $status]) {
            $answer = $this->call($method, "/api/v1/$path");
            self::assertSame([$status, 'application/problem+json'], [$answer->getStatusCode(), $answer->headers->get('Content-Type')], "$method $path");
            self::assertSame($status, $answer->json('status'));
            self::assertStringEndsWith('.', (string) $answer->json('detail'));
        }
    }

    #[DataProvider('seeds')]
    public function test_whatever_is_sent_is_answered_with_its_reason(int $seed): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $wrong = [];
        $sent = 0;
        foreach (Contract::operations() as [$method, $path]) {
            foreach (range(1, 2) as $_) {
                DB::beginTransaction();
                $this->actingAs($this->person('lead'));
                [$to, $body] = $this->request($method, $path);
                $answer = $this->call($method, $to, [], [], [], [
                    'HTTP_ACCEPT' => 'application/json',
                    'CONTENT_TYPE' => 'application/json',
                ], $body);
                $sent++;
                $type = (string) $answer->headers->get('Content-Type');
                $known = $answer->getContent() === '' || preg_match('/json|csv|image|zip|pdf/', $type) === 1;
                if ($answer->getStatusCode() >= 500 || ! $known) {
                    $why = $answer->exception === null ? $type : $answer->exception->getMessage();
                    $wrong[] = "$method $to ".mb_substr($body, 0, 300).' → '.$answer->getStatusCode().' '.mb_substr($why, 0, 300);
                }
                DB::rollBack();
            }
        }
        self::assertGreaterThan(150, $sent);
        self::assertSame([], $wrong);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function named(): iterable
    {
        yield 'an address that is a list' => ['POST', 'session', '{"email":[],"password":[]}'];
        yield 'an address that is an object' => ['POST', 'session', '{"email":{"a":1},"password":"x"}'];
        yield 'an order of 25 digits' => ['GET', 'orders/9999999999999999999999999', ''];
        yield 'a check of 25 digits' => ['GET', 'checks/9999999999999999999999999', ''];
        yield 'a version of 25 digits' => ['GET', 'standard/versions/9999999999999999999999999', ''];
        yield 'a piece of 25 digits' => ['POST', 'sign-offs', '{"pieces":[9999999999999999999999999]}'];
        yield 'days away that are lists' => ['PUT', 'people/1', '{"revision":3,"away":[{"from":{"0":1},"to":"company"},{"from":"x"}]}'];
        yield 'hours of a painter that are lists' => ['POST', 'batches', '{"painters":[{"from":[1],"to":"10:00"},{"from":"09:00","to":[]}]}'];
        yield 'a fault whose pin is empty' => ['PUT', 'checks/1/answers', '{"question":"company","answer":"fault","faults":['.
            '{"fault":"tide_mark","area":null,"spread":"spot","size_mm":null,"pin":{}}]}'];
        yield 'no JSON' => ['POST', 'orders', '{"client":'];
        yield 'not UTF-8' => ['POST', 'orders', "{\"client\":\"\xff\xfe\",\"title\":\"x\"}"];
        yield 'a number for a body' => ['POST', 'orders', '7'];
        yield 'a list for a body' => ['PUT', 'standard/draft/clauses', '[1,2,3]'];
        yield 'nested without end' => ['POST', 'imports', str_repeat('[', 5000).str_repeat(']', 5000)];
        yield 'a character of four bytes and a zero' => ['POST', 'orders', '{"client":"\\ud83d\\ude00","title":"a\\u0000b"}'];
    }

    #[DataProvider('named')]
    public function test_what_broke_once_is_refused_with_its_reason(string $method, string $path, string $body): void
    {
        $this->actingAs($this->person('lead'));
        $answer = $this->call($method, "/api/v1/$path", [], [], [], [
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => 'application/json',
        ], $body);
        self::assertLessThan(500, $answer->getStatusCode(), mb_substr((string) $answer->getContent(), 0, 500));
        self::assertStringContainsString('json', (string) $answer->headers->get('Content-Type'));
    }

    /** @return iterable<string, array{callable(): string, string}> a file, and the place that is named */
    public static function large(): iterable
    {
        $standard = fn () => Demo::json('standards/five-rungs.json');
        yield 'a thousand tiers' => [function () use ($standard): string {
            $document = $standard();
            $document->tiers = array_fill(0, 1000, $document->tiers[0]);

            return (string) json_encode($document);
        }, '/tiers'];
        yield 'a tier of five thousand clauses' => [function () use ($standard): string {
            $document = $standard();
            $document->tiers[2]->clauses = array_fill(0, 5000, $document->tiers[2]->clauses[0]);

            return (string) json_encode($document);
        }, '/tiers/2/clauses'];
        yield 'three hundred areas' => [function (): string {
            $document = Demo::json('sculpts/sluice-warden.json');
            $document->areas = array_fill(0, 300, $document->areas[0]);

            return (string) json_encode($document);
        }, '/areas'];
        yield 'a quarter of a million models' => [function (): string {
            $document = Demo::json('orders/1-fresh.json');
            $document->number = '99-999';
            $document->units[0]->count = 250_000;

            return (string) json_encode($document);
        }, '/units'];
        yield 'a hundred thousand paints' => [
            fn () => "name,kind,hex,hiding,ml\n".str_repeat("Silt,paint,#112233,high,17\n", 100_000),
            '',
        ];
    }

    /** @return iterable<string, array{string}> */
    public static function endless(): iterable
    {
        yield 'two million times nothing' => ['['.str_repeat('{},', 2_000_000).'{}]'];
        yield 'three million numbers' => ['{"areas":['.str_repeat('1,', 3_000_000).'1]}'];
        yield 'brackets alone' => [str_repeat('[', 4_000_000)];
        yield 'nine megabytes of text' => ['{"client":"'.str_repeat('x', 9_000_000).'"}'];
    }

    #[DataProvider('endless')]
    public function test_a_body_without_end_is_refused_before_it_is_read(string $body): void
    {
        $this->actingAs($this->person('lead'));
        $before = memory_get_peak_usage();
        foreach (['imports', 'orders', 'sculpts/try'] as $path) {
            $answer = $this->call('POST', "/api/v1/$path", [], [], [], [
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'application/json',
            ], $body);
            self::assertSame(413, $answer->getStatusCode());
            self::assertStringContainsString('larger than', $answer->json('detail'));
        }
        self::assertLessThan(160 << 20, memory_get_peak_usage() - $before);
    }

    /** @param  callable(): string  $file */
    #[DataProvider('large')]
    public function test_a_file_that_is_too_large_is_refused_before_work_begins_on_it(callable $file, string $place): void
    {
        $this->actingAs($this->person('lead'));
        DB::enableQueryLog();
        $answer = $this->call('POST', '/api/v1/imports', [], [], [], [
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => 'application/json',
        ], $file());
        self::assertSame(422, $answer->getStatusCode(), mb_substr((string) $answer->getContent(), 0, 300));
        self::assertSame($place, $answer->json('errors.0.pointer'));
        self::assertLessThan(8, count(DB::getQueryLog()));
        DB::disableQueryLog();
    }

    /** @return array{string, string} address and body */
    private function request(string $method, string $path): array
    {
        $known = [
            'order' => $this->unit('26-041')->order_id,
            'unit' => $this->unit('26-041')->id,
            'piece' => $this->unit('26-033')->pieces()->value('id'),
            'check' => Check::query()->value('id'),
            'slug' => 'sluice-warden',
            'number' => 1,
            'pack' => 'five-rungs',
        ];
        $to = preg_replace_callback('/\{(\w+)\}/', fn (array $m) => (string) ($this->one(5)
            ? $this->pick(['0', '-1', '9999999999999999999999999', 'x', '%00', '1e9', str_repeat('a', 300)])
            : ($known[$m[1]] ?? 1)), $path);
        $query = $this->one(4)
            ? '?'.http_build_query([$this->pick(['cursor', 'find', 'status', 'order', 'to', 'tier', 'piece', 'sculpt', 'minutes']) => $this->pick(['', 'x', '-1', '99999999999999999999', '%', ['a' => ['b' => 'c']], "\0"])])
            : '';
        if ($method === 'GET') {
            return ["/api/v1$to$query", ''];
        }
        $schema = Contract::bodyOf($method, $path);

        return ["/api/v1$to$query", (string) json_encode($schema === null ? $this->odd() : $this->like($schema, 0))];
    }

    private function like(stdClass $schema, int $depth): mixed
    {
        if ($depth > 6 || $this->one(6)) {
            return $this->odd();
        }
        $schema = Contract::resolved($schema);
        foreach (['oneOf', 'anyOf', 'allOf'] as $any) {
            if (isset($schema->{$any})) {
                return $this->like($this->pick($schema->{$any}), $depth + 1);
            }
        }
        $type = is_array($schema->type ?? null) ? $this->pick($schema->type) : ($schema->type ?? 'object');
        if (isset($schema->enum)) {
            return $this->pick($schema->enum);
        }
        if ($type === 'object') {
            $made = new stdClass();
            foreach ((array) ($schema->properties ?? []) as $name => $of) {
                if (! $this->one(8)) {
                    $made->{$name} = $this->like($of, $depth + 1);
                }
            }

            return $made;
        }

        return match ($type) {
            'array' => array_map(
                fn () => $this->like($schema->items ?? new stdClass(), $depth + 1),
                array_fill(0, $this->random->getInt(0, 3), null),
            ),
            'integer' => $this->random->getInt(0, 4),
            'number' => $this->random->getInt(0, 400) / 10,
            'boolean' => $this->one(2),
            'null' => null,
            default => $this->pick(['coat', 'company', 'wash_all_over', 'company.edges', 'Silt Wash', '2026-12-01', 'x']),
        };
    }

    private function odd(): mixed
    {
        return $this->pick([
            null, true, -1, 0, 1.5, 1e300, 9223372036854775807, '', ' ', '9999999999999999999999999', "\u{0}", '%s%n',
            str_repeat('ä', 70_000), [], new stdClass(), [[]], ['a' => []], [null], [[[[1]]]], '../../etc/passwd',
            array_fill(0, 300, 'x'), (object) ['0' => 1, '' => 2],
        ]);
    }

    private function one(int $in): bool
    {
        return $this->random->getInt(1, $in) === 1;
    }

    /**
     * @template T
     *
     * @param  array<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }
}
