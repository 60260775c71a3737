<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use App\Models\Activity;
use App\Models\Check;
use App\Models\Piece;
use App\Models\SignOff;
use Illuminate\Support\Facades\Artisan;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Foundation\Link;

/** From a clause to a certificate, through the API. */
final class WayTest extends StudioTestCase
{
    public function test_from_an_edited_clause_to_a_signed_certificate_and_its_withdrawal(): void
    {
        // The lead opens a draft, asks for a second pass on Company's edges, sees what it does, and publishes.
        $draft = $this->api('lead', 'POST', 'standard/draft', null, 201);
        $draft->assertJsonPath('version.status', 'draft');
        $cell = $this->cell($draft->json(), 'edges', 'company');
        $clause = ['passes' => 2, 'by' => ['edge_highlight']] + $cell['clause'];
        $tried = $this->api(
            'lead',
            'POST',
            'standard/draft/try',
            [
                'tier' => 'company',
                'sculpt' => 'sluice-warden',
                'changes' => [
                    [
                        'what' => 'clause',
                        'tier' => 'company',
                        'before' => $cell['clause'],
                        'after' => ['extent' => 'spot'] + $clause,
                    ],
                ],
            ],
            200,
        );
        self::assertNotEquals($tried->json('before'), $tried->json('after'));
        $kept = $this->api(
            'lead',
            'PUT',
            'standard/draft/clauses',
            ['tier' => 'company', 'revision' => $cell['revision'], 'clause' => ['extent' => 'spot'] + $clause],
            200,
        );
        self::assertSame(2, $kept->json('revision'));
        $published = $this->api(
            'lead',
            'POST',
            'standard/draft/publish',
            ['revision' => $kept->json('draft_revision'), 'note' => 'Two touches of light.'],
            201,
        );
        $published->assertJsonPath('version.status', 'published')->assertJsonPath('version.number', 2);
        $this->api('lead', 'GET', 'standard/versions', null, 200)->assertJsonPath(
            'data.0.note',
            'Two touches of light.',
        );
        $this->api('lead', 'GET', 'standard/versions/1', null, 200)->assertJsonPath('version.number', 1);

        // The desk opens an order; the lead plans it, changes a step by hand, and releases it.
        $order = $this->api(
            'desk',
            'POST',
            'orders',
            ['client' => 'Ada Fen', 'title' => 'Two on watch', 'due_on' => '2030-01-31', 'brief' => null],
            201,
        );
        $order->assertJsonPath('standard_version', 2);
        $unit = $this->api(
            'desk',
            'POST',
            "orders/{$order->json('id')}/units",
            ['sculpt' => 'sluice-warden', 'tier' => 'company', 'count' => 2],
            201,
        )->json('id');
        $plan = $this->api('lead', 'GET', "units/$unit/plan", null, 200);
        self::assertSame([], $plan->json('plan.conflicts'));
        $coat = array_map(
            fn (array $t) => ['technique' => $t['technique'], 'passes' => $t['passes'], 'extent' => $t['extent']],
            $plan->json('plan.areas.0.techniques'),
        );
        $edited = $this->api(
            'lead',
            'PUT',
            "units/$unit/plan",
            [
                'revision' => 1,
                'edits' => ['coat' => [...$coat, ['technique' => 'glaze', 'passes' => 1, 'extent' => 'full']]],
            ],
            200,
        );
        self::assertContains('over', array_column($edited->json('plan.requirements'), 'state'));
        self::assertTrue(collect($edited->json('plan.surplus'))->contains('beyond', true));
        $this->api('lead', 'PUT', "units/$unit/plan", ['revision' => 1, 'edits' => (object) []], 409);
        $back = $this->api('lead', 'PUT', "units/$unit/plan", ['revision' => 2, 'edits' => (object) []], 200);
        self::assertSame($plan->json('plan'), $back->json('plan'));
        $this->api(
            'lead',
            'POST',
            "units/$unit/release",
            ['revision' => 3, 'despite' => 'The quote is agreed by word of mouth.'],
            200,
        )->assertJsonPath('unit.released', true);
        $this->api('lead', 'PUT', "units/$unit/plan", ['revision' => 4, 'edits' => (object) []], 409);

        // A painter works through it pass by pass and offers both models.
        $batch = $this->api('painter', 'GET', "bench/$unit", null, 200);
        $pieces = array_column($batch->json('pieces'), 'id');
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$pieces[0]]], 409);
        foreach ($batch->json('passes') as $pass) {
            $this->api('painter', 'POST', 'bench/marks', ['pieces' => $pieces, 'steps' => $pass['steps']], 200);
        }
        $again = $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => $pieces, 'steps' => $batch->json('passes.0.steps')],
            200,
        );
        self::assertSame(
            count(array_merge(...array_column($batch->json('passes'), 'steps'))),
            count($again->json('pieces.0.done')),
            'marking twice does no harm',
        );
        foreach ($pieces as $piece) {
            $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$piece]], 200)->assertJsonPath('pieces.0.stage', 'offered');
        }

        // Who painted on it neither checks nor signs.
        $this->api('painter', 'POST', "pieces/$pieces[0]/check", null, 403);

        // The lead finds a fault, sends the model back with its repair, and passes the other one.
        $check = $this->api('lead', 'POST', "pieces/$pieces[0]/check", null, 201);
        $id = $check->json('id');
        $this->api('lead', 'POST', "checks/$id/verdict", ['verdict' => 'passed'], 409);
        $washes = collect($check->json('questions'))->firstOrFail(
            fn (array $q) => $q['view'] === 'front' && in_array('tide_mark', $q['faults'], true),
        );
        $found = $this->api(
            'lead',
            'PUT',
            "checks/$id/answers",
            [
                'question' => $washes['key'],
                'answer' => 'fault',
                'faults' => [['fault' => 'tide_mark', 'area' => 'coat', 'spread' => 'patch']],
            ],
            200,
        );
        self::assertSame('major', $found->json('faults.0.severity'));
        self::assertNotSame([], $found->json('faults.0.repair'));
        foreach ($check->json('questions') as $question) {
            if ($question['key'] !== $washes['key']) {
                $this->api(
                    'lead',
                    'PUT',
                    "checks/$id/answers",
                    ['question' => $question['key'], 'answer' => 'yes'],
                    200,
                );
            }
        }
        $this->api('lead', 'POST', "checks/$id/verdict", ['verdict' => 'passed'], 409);
        $this->api('lead', 'POST', "checks/$id/verdict", ['verdict' => 'rework'], 200)->assertJsonPath(
            'piece.stage',
            'rework',
        );
        $this->api('lead', 'PUT', "checks/$id/answers", ['question' => $washes['key'], 'answer' => 'yes'], 409);
        $this->passes($pieces[1]);

        // The painter does the repair; the next check asks only what it touched, and the final look.
        $repair = collect($this->api('painter', 'GET', "bench/$unit", null, 200)->json('pieces'))->firstWhere(
            'id',
            $pieces[0],
        )['repairs'];
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$pieces[0]]], 409);
        $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => [$pieces[0]], 'steps' => array_column($repair, 'key')],
            200,
        );
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$pieces[0]]], 200);
        $second = $this->api('lead', 'POST', "pieces/$pieces[0]/check", null, 201);
        self::assertSame(2, $second->json('round'));
        self::assertLessThan(count($check->json('questions')), count($second->json('questions')));
        self::assertContains('final_look', array_column($second->json('questions'), 'key'));
        self::assertContains($washes['key'], array_column($second->json('questions'), 'key'));
        $this->passes($pieces[0]);

        // Signed off: the certificate says which version it was held against, and the chain holds.
        $this->api('painter', 'POST', 'sign-offs', ['pieces' => $pieces], 403);
        $last = (int) SignOff::query()->max('number');
        $new = $last + 1;
        $certificate = $this->api('lead', 'POST', 'sign-offs', ['pieces' => $pieces], 201);
        $certificate
            ->assertJsonPath('number', $new)
            ->assertJsonPath('record.standard.version', 2)
            ->assertJsonPath('record.pieces.0.checks.0.faults.0.fault', 'tide_mark')
            ->assertJsonPath('record.pieces.0.rule', 'signed by someone who did not paint on it');
        self::assertSame(SignOff::query()->where('number', $last)->value('hash'), $certificate->json('previous'));
        self::assertSame(0, Artisan::call('ordotype:verify', ['--head' => $certificate->json('hash')]));
        SchemaCheck::against('certificate@3', Json::decode((string) SignOff::query()->where('number', $new)->value('record')));
        $this->api('lead', 'POST', 'sign-offs', ['pieces' => $pieces], 409);
        $this->api('desk', 'GET', "sign-offs/$new", null, 200);

        // Withdrawn: a record too, and the models are back in the check.
        $this->api('lead', 'POST', "sign-offs/$new/withdrawal", ['reason' => ''], 422);
        $this->api(
            'lead',
            'POST',
            "sign-offs/$new/withdrawal",
            ['reason' => 'Wrong decal, seen too late.'],
            201,
        )->assertJsonPath('record.of.number', $new);
        $this->api('lead', 'POST', "sign-offs/$new/withdrawal", ['reason' => 'Again.'], 409);
        self::assertSame(['offered', 'offered'], Piece::query()->whereIn('id', $pieces)->pluck('stage')->all());
        $this->api('lead', 'GET', "sign-offs/$new", null, 200)->assertJsonPath('withdrawn_by', $new + 1);
        self::assertNull(
            Chain::broken(
                SignOff::query()
                    ->orderBy('number')
                    ->get()
                    ->map(fn (SignOff $s) => new Link($s->number, $s->previous, $s->hash, $s->record))
                    ->all(),
            ),
        );
        foreach (
            [
                'clause.written',
                'standard.published',
                'plan.released',
                'check.closed',
                'sign_off.sign_off',
                'sign_off.withdrawal',
            ] as $action
        ) {
            self::assertTrue(Activity::query()->where('action', $action)->whereNotNull('user_id')->exists(), $action);
        }
    }

    public function test_two_people_on_one_cell_collide_and_on_two_cells_do_not(): void
    {
        $draft = $this->api('lead', 'POST', 'standard/draft', null, 201)->json();
        $edges = $this->cell($draft, 'edges', 'banner');
        $lines = $this->cell($draft, 'lines', 'banner');
        $put = fn (array $cell, array $change, int $status) => $this->api(
            'lead',
            'PUT',
            'standard/draft/clauses',
            ['tier' => 'banner', 'revision' => $cell['revision'], 'clause' => $change + $cell['clause']],
            $status,
        );
        $put($edges, ['passes' => 2], 200);
        $put($lines, ['passes' => 1], 200);
        $refused = $put($edges, ['passes' => 3], 409);
        self::assertSame(2, $refused->json('current.clause.passes'), 'what the other one wrote');
        self::assertSame(3, $refused->json('current.yours.passes'), 'and what is not lost');
        $put(['revision' => $refused->json('current.revision')] + $edges, ['passes' => 3], 200);
        $this->api('lead', 'POST', 'standard/draft/publish', ['revision' => 1, 'note' => 'old'], 409);
    }

    public function test_a_clause_that_does_not_fit_is_refused_with_its_place_and_nothing_is_kept(): void
    {
        $draft = $this->api('lead', 'POST', 'standard/draft', null, 201)->json();
        $cell = $this->cell($draft, 'edges', 'banner');
        $refused = $this->api(
            'lead',
            'PUT',
            'standard/draft/clauses',
            [
                'tier' => 'banner',
                'revision' => $cell['revision'],
                'clause' => ['extent' => 'huge', 'by' => ['sorcery']] + $cell['clause'],
            ],
            422,
        );
        $pointers = array_column($refused->json('errors'), 'pointer');
        self::assertNotSame([], array_filter($pointers, fn (string $p) => str_ends_with($p, '/extent')));
        self::assertNotSame([], array_filter($pointers, fn (string $p) => str_contains($p, '/by/0')));
        self::assertSame(
            $cell['clause'],
            $this->cell($this->api('lead', 'GET', 'standard', null, 200)->json(), 'edges', 'banner')['clause'],
        );
    }

    public function test_accepting_as_it_is_needs_the_right_to_sign_a_reason_and_no_critical_fault(): void
    {
        $piece = Piece::query()->where('unit_id', $this->unit('26-033')->id)->where('number', 4)->firstOrFail();
        $check = $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json();
        $borders = collect($check['questions'])->firstOrFail(
            fn (array $q) => in_array('overspill', $q['faults'], true) && in_array('coat', $q['areas'], true),
        );
        foreach ($check['questions'] as $question) {
            $answer =
                $question['key'] === $borders['key']
                    ? [
                        'answer' => 'fault',
                        'faults' => [['fault' => 'overspill', 'area' => 'coat', 'spread' => 'patch']],
                    ]
                    : ['answer' => 'yes'];
            $this->api(
                'lead',
                'PUT',
                "checks/{$check['id']}/answers",
                ['question' => $question['key']] + $answer,
                200,
            );
        }
        $end = fn (string $who, array $with, int $status) => $this->api(
            $who,
            'POST',
            "checks/{$check['id']}/verdict",
            ['verdict' => 'accepted'] + $with,
            $status,
        );
        $this->api('pim', 'POST', "checks/{$check['id']}/hold", null, 200);
        $end('pim', ['reason' => 'fine', 'consent' => 'By telephone.'], 403);
        $this->api('lead', 'POST', "checks/{$check['id']}/hold", null, 200);
        $end('lead', ['consent' => 'By telephone.'], 422)->assertJsonPath('errors.0.pointer', '/reason');
        $reason = ['reason' => 'It faces the wall.'];
        // A major fault at this tier is not the studio's alone to accept.
        $end('lead', $reason, 422)->assertJsonPath('errors.0.pointer', '/consent');
        $end('lead', $reason + ['consent' => 'Sable Court, by telephone, 24 Nov.'], 200)
            ->assertJsonPath('piece.stage', 'passed')
            ->assertJsonPath('consent', 'Sable Court, by telephone, 24 Nov.');
    }

    public function test_bad_input_is_named_and_never_a_500(): void
    {
        $this->api('lead', 'POST', 'orders', ['client' => ''], 422)->assertJsonPath('errors.0.pointer', '/client');
        $this->api('lead', 'POST', 'bench/marks', ['pieces' => [999999], 'steps' => ['x']], 404);
        $piece = Piece::query()->where('unit_id', $this->unit('26-038')->id)->firstOrFail();
        $this->api(
            'lead',
            'POST',
            'bench/marks',
            ['pieces' => [$piece->id], 'steps' => ['hat:glitter:1']],
            422,
        )->assertJsonPath('errors.0.pointer', '/steps');
        $unit = $this->unit('26-041');
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/plan",
            ['revision' => 1, 'edits' => ['wings' => [['technique' => 'layer', 'passes' => 1, 'extent' => 'full']]]],
            422,
        )->assertJsonPath('errors.0.pointer', '/edits/wings');
        $this->api(
            'desk',
            'POST',
            "orders/$unit->order_id/units",
            ['sculpt' => 'sluice-warden', 'tier' => 'sketch', 'count' => 1],
            422,
        )->assertJsonPath('errors.0.pointer', '/tier');
        $check = Check::query()->whereNull('closed_at')->firstOrFail();
        $this->api('lead', 'PUT', "checks/$check->id/answers", ['question' => 'nothing', 'answer' => 'yes'], 404);
        $this->api(
            'lead',
            'PUT',
            "checks/$check->id/answers",
            ['question' => 'final_look', 'answer' => 'fault'],
            422,
        );
        $this->api('lead', 'GET', 'checks', null, 200);
        $this->api('lead', 'GET', 'sign-offs', null, 200);
        $this->api('lead', 'GET', 'orders', null, 200);
        $this->api('painter', 'GET', 'bench', null, 200);
        $this->json('GET', '/api/v1/nowhere')->assertStatus(404);
    }

    private function passes(int $piece): void
    {
        $check = $this->api('lead', 'POST', "pieces/$piece/check", null, 201)->json();
        foreach ($check['questions'] as $question) {
            $this->api(
                'lead',
                'PUT',
                "checks/{$check['id']}/answers",
                ['question' => $question['key'], 'answer' => 'yes'],
                200,
            );
        }
        $this->api('lead', 'POST', "checks/{$check['id']}/verdict", ['verdict' => 'passed'], 200)->assertJsonPath(
            'piece.stage',
            'passed',
        );
    }

    /**
     * @param  array<string, mixed>  $ladder
     * @return array<string, mixed>
     */
    private function cell(array $ladder, string $suffix, string $tier): array
    {
        foreach ($ladder['rows'] as $row) {
            foreach ($row['suffix'] === $suffix ? $row['cells'] : [] as $cell) {
                if ($cell['tier'] === $tier) {
                    return $cell;
                }
            }
        }
        self::fail("no cell $tier $suffix");
    }
}
